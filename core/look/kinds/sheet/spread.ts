import { dryingSeconds, HANDS, stateAfter } from '../../../order'
import { edgeSpread, type FilmState } from '../../../paint'
import type { PreparedSheet } from '../../../stencil'
import { edgeIn, type World } from '../world'
import { passFilm, passSeconds } from './effort'
import { partShare } from './part'
import { openingNumbers } from './openings'
import type { Pass, SheetStep } from './schema'

const DRYNESS: readonly FilmState[] = ['dry', 'tacky', 'wet']

/**
 * What a pass finds in each opening that an earlier pass of the same sheet painted: thin dry layers hold at
 * once, a damp or runny one does not.
 */
function underPass(
  step: SheetStep,
  index: number,
  sheet: PreparedSheet,
  world: World,
): Map<number, FilmState> {
  const found = new Map<number, FilmState>()
  let since = 0
  for (let i = index - 1; i >= 0; i--) {
    const pass = step.passes[i]!
    const state =
      pass.wetness === 'damp' || pass.wetness === 'runny'
        ? stateAfter(since + HANDS.reload, dryingSeconds(pass.wetness, false, passFilm(pass, world)))
        : 'dry'
    for (const n of openingNumbers(pass, sheet)) if (!found.has(n)) found.set(n, state)
    since += passSeconds(pass, sheet, world, partShare(pass, step, world))
  }
  return found
}

/**
 * How far the paint of a pass creeps past each of its openings, mm: from tool, wetness, dabs, what lies
 * beneath and how far the sheet stands off.
 * @param index which pass of the step it is, or stands for
 */
export function spreadOf(
  step: SheetStep,
  pass: Pass,
  numbers: readonly number[],
  gaps: Float64Array | null,
  world: World,
  index = step.passes.indexOf(pass),
): number[] {
  const e0 = edgeIn(world, pass.tool, pass.wetness)
  const under = step.dry ? 'dry' : (world.under?.(step.id) ?? 'dry')
  const sheet = world.stencil(step.stencil)
  const own = sheet && index > 0 ? underPass(step, index, sheet, world) : null
  return numbers.map(n => {
    const gap = gaps?.[n] ?? 0
    const pass1 = own?.get(n) ?? 'dry'
    const wetter = DRYNESS.indexOf(pass1) > DRYNESS.indexOf(under) ? pass1 : under
    return edgeSpread(e0, Number.isNaN(gap) ? 0 : Math.min(gap, MOST_GAP), wetter, pass.wetness, pass.dabs)
  })
}
/** Fingers press the sheet down where they dab: a wider gap than this is not left, mm (common practice). */
const MOST_GAP = 0.5
