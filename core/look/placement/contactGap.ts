import type { Memo } from '../../memo'
import type { Placement } from '../../skin'
import type { PreparedSheet } from '../../stencil'
import type { OnGround } from './handles'
import { pressedAt } from './seating'

/** As many samples of a sheet tell its gaps for a print. */
const SAMPLES = 420

/**
 * How far a sheet that is pressed down where it is dabbed stands off the skin at each of its openings, mm.
 * @param painted the openings that are dabbed
 */
export function contactGaps(
  sheet: PreparedSheet,
  placement: Placement,
  { ground, memo }: OnGround & { readonly memo?: Memo },
  painted: ReadonlySet<number>,
): Float64Array {
  const make = () => pressedAt(sheet, placement, { ground }, painted, SAMPLES)
  if (!memo) return make()
  const all = painted.size === sheet.openings.length
  const key = JSON.stringify(['contact gaps', sheet.id, placement, all ? 'all' : [...painted]])
  return memo.recall(key, [sheet.measures, ground], make)
}
