import {
  contactGaps,
  openingNumbers,
  paintedOpenings,
  placementsOf,
  spreadOf,
  type Pass,
  type SheetStep,
  type World,
} from '../look'
import { TOOLS, WETNESSES, type ToolId } from '../paint'
import type { Neck, PreparedSheet } from '../stencil'
import { mm, ofSheets } from './finding'

/**
 * The bridges that a pass closes: both sides creep under them as far as they are wide. Where the other side
 * was painted by an earlier pass, that one's creep counts there.
 * @param index which pass of the step it is, or stands for
 */
export function closedBridges(
  step: SheetStep,
  pass: Pass,
  sheet: PreparedSheet,
  world: World,
  index = Math.max(0, step.passes.indexOf(pass)),
): { closed: Neck[]; creep: number } {
  const painted = paintedOpenings(step, world)[0]!
  const gaps = contactGaps(sheet, placementsOf(step, world)[0]!, world, painted)
  const before = new Map<number, number>()
  const spreads = (p: Pass, i: number) => {
    const numbers = openingNumbers(p, sheet).filter(n => sheet.openings[n])
    return spreadOf(step, p, numbers, gaps, world, i).map((e, k) => [numbers[k]!, e] as const)
  }
  step.passes.slice(0, index).forEach((p, i) => {
    for (const [n, e] of spreads(p, i)) before.set(n, Math.max(e, before.get(n) ?? 0))
  })
  const own = new Map(spreads(pass, index))
  const reach = (n: number) => Math.max(own.get(n) ?? 0, before.get(n) ?? 0)
  const closed = sheet.measures.bridges.filter(
    b =>
      b.openings.some(n => own.has(n)) &&
      b.openings.every(n => own.has(n) || before.has(n)) &&
      b.width < b.openings.reduce((sum, n) => sum + reach(n), 0),
  )
  return { closed, creep: Math.max(0, ...own.values()) }
}

/** Ways of dabbing that creep less, the nearest to what was asked first. */
const DRIER: readonly ToolId[] = ['makeup', 'dauber', 'point']

/** Paint that creeps under a bridge from both sides closes it. */
export const bleed = ofSheets(({ step, sheet, world }) =>
  step.passes.flatMap((pass, i) => {
    const { closed, creep } = closedBridges(step, pass, sheet, world, i)
    if (closed.length === 0) return []
    const ways = [pass.tool, ...DRIER].flatMap(tool =>
      WETNESSES.slice(0, WETNESSES.indexOf(pass.wetness) + 1)
        .reverse()
        .map(wetness => ({ tool, wetness })),
    )
    const better = ways.find(
      way => closedBridges(step, { ...pass, ...way }, sheet, world, i).closed.length === 0,
    )
    const at = ['passes', i] as const
    return [
      {
        level: closed.length > 4 ? ('problem' as const) : ('warning' as const),
        title: `Bleeding closes ${closed.length} ${closed.length === 1 ? 'bridge' : 'bridges'}`,
        why: `Colour layer ${i + 1} bleeds up to ${mm(creep)} under the edge (estimate); the narrowest bridge is ${mm(Math.min(...closed.map(b => b.width)))} wide and is reached from both sides.`,
        fix: better
          ? {
              words: `${TOOLS[better.tool].name}, ${better.wetness}`,
              sets: [
                { path: [...at, 'tool'], to: better.tool },
                { path: [...at, 'wetness'], to: better.wetness },
              ],
            }
          : null,
      },
    ]
  }),
)
