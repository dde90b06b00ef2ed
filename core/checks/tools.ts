import { distance, distanceBetween, polygonArea } from '../geometry'
import {
  leftAfter,
  openingNumbers,
  partReached,
  passLoads,
  passOpenings,
  toolIn,
  type Pass,
  type SheetStep,
  type World,
} from '../look'
import { TOOLS, type ToolId } from '../paint'
import type { PreparedSheet } from '../stencil'
import { closedBridges } from './bleed'
import { mm, ofSheets } from './finding'

/** Small tools, the largest first. */
const SMALLER: readonly ToolId[] = ['makeup', 'dauber', 'point']
const tip = (world: World, tool: ToolId) => toolIn(world, tool).tip

/** Paint that differs from what lies beneath by less is not seen there (CIEDE2000; common practice). */
const UNSEEN = 5

/** How far the openings that a pass dabs stay from the edge of the sheet, mm. */
function rimOf(pass: Pass, sheet: PreparedSheet): number {
  if (pass.openings.use === 'all') return sheet.measures.margin
  return distanceBetween(passOpenings(pass, sheet), [{ outer: sheet.outline, holes: [] }])
}

/** A tool wider than the sheet's rim leaves a halo of paint past it. */
export const halo = ofSheets(({ step, sheet, world, shows }) =>
  step.passes.flatMap((pass, i) => {
    const reach = tip(world, pass.tool) / 2
    // Where the paint itself does not show on what lies there, its halo does not either.
    if (sheet.measures.margin >= reach * 0.5 || (shows && shows.median < UNSEEN)) return []
    const margin = rimOf(pass, sheet)
    if (margin >= reach * 0.5) return []
    const better = SMALLER.find(
      t =>
        tip(world, t) < tip(world, pass.tool) &&
        margin >= (tip(world, t) / 2) * 0.5 &&
        !closesMore(step, i, t, sheet, world),
    )
    return [
      {
        level: 'tip' as const,
        title: 'Halo past the stencil',
        why: `The rim of the stencil is ${mm(margin)} wide and the ${TOOLS[pass.tool].name} reaches ${mm(reach)} past its middle (estimate): paint lands beside the stencil unless the rim is covered.`,
        fix: better
          ? { words: TOOLS[better].name, sets: [{ path: ['passes', i, 'tool'], to: better }] }
          : null,
      },
    ]
  }),
)

/** Whether more bridges would bleed shut with another tool: a fix makes no new fault. */
function closesMore(step: SheetStep, i: number, tool: ToolId, sheet: PreparedSheet, world: World): boolean {
  const closed = (pass: Pass) => closedBridges(step, pass, sheet, world, i).closed.length
  const pass = step.passes[i]!
  return closed({ ...pass, tool }) > closed(pass)
}

/** The least distance between the openings of two passes, mm; null when they share openings. */
function between(a: Pass, b: Pass, sheet: PreparedSheet): number | null {
  const p = new Set(openingNumbers(a, sheet))
  const q = openingNumbers(b, sheet)
  if (q.some(n => p.has(n))) return null
  let least = Infinity
  const points = (ring: Float64Array) =>
    Array.from({ length: Math.ceil(ring.length / 4) }, (_, i) => [ring[4 * i]!, ring[4 * i + 1]!] as const)
  const there = q.flatMap(n => points(sheet.openings[n]?.outer ?? new Float64Array()))
  for (const n of p)
    for (const at of points(sheet.openings[n]?.outer ?? new Float64Array()))
      for (const other of there) least = Math.min(least, distance(at, other))
  return least
}

/** A tool that is wider than the way to the next opening catches that one too. */
export const neighbour = ofSheets(({ step, sheet, world }) =>
  step.passes.flatMap((pass, i) => {
    const gaps = step.passes.flatMap((other, k) =>
      k === i || JSON.stringify(other.load) === JSON.stringify(pass.load)
        ? []
        : (between(pass, other, sheet) ?? []),
    )
    const gap = Math.min(Infinity, ...gaps)
    const reach = tip(world, pass.tool) / 2
    if (gap >= reach) return []
    const better =
      SMALLER.find(
        t =>
          tip(world, t) < tip(world, pass.tool) &&
          tip(world, t) / 2 <= gap &&
          !closesMore(step, i, t, sheet, world),
      ) ?? (pass.tool === 'point' ? undefined : 'point')
    return [
      {
        level: 'warning' as const,
        title: 'Catches the neighbouring colour',
        why: `Openings of another colour are ${mm(gap)} away and the ${TOOLS[pass.tool].name} reaches ${mm(reach)} to each side (estimate).`,
        fix: better
          ? { words: TOOLS[better].name, sets: [{ path: ['passes', i, 'tool'], to: better }] }
          : null,
      },
    ]
  }),
)

/** A pass that is kept to a part which the sheet does not reach, or which is gone, dabs nothing. */
export const nothingDabbed = ofSheets(({ step, world }) =>
  step.passes.flatMap((pass, i) => {
    if (!pass.part || partReached(pass, step, world)) return []
    const gone = pass.part.by === 'step' && !world.host?.(pass.part.step, step.id)
    return [
      {
        level: 'warning' as const,
        title: 'Nothing of this colour layer is dabbed',
        why: gone
          ? 'It is kept to where another step lies, and that step is gone or comes later.'
          : 'The part to which it is kept lies beside the openings of the sheet.',
        fix: { words: 'Dab all over the stencil', sets: [{ path: ['passes', i, 'part'], to: undefined }] },
      },
    ]
  }),
)

/** Less than this share of a load prints too pale to be meant (common practice). */
const TOO_LITTLE = 0.3

/** What is left on a tool that is not loaded anew may not be enough. */
export const runsOutOfPaint = ofSheets(({ step, sheet, world }) =>
  step.passes.flatMap((pass, i) => {
    if (!pass.carries) return []
    const left = leftAfter(step, i, world)
    if (left >= TOO_LITTLE) return []
    const begins = world.held?.(step.id, i) ?? 1
    const loads = passLoads({ ...pass, carries: false }, sheet, world)
    return [
      {
        level: 'warning' as const,
        title: 'What is left on the tool will not be enough',
        why: `It begins with ${Math.round(100 * begins)} % of a load and ends with ${Math.round(100 * left)} % (estimate): the last of the pattern is hardly seen. That is right for an edge that fades on purpose; else load anew, ${loads} ${loads === 1 ? 'load' : 'loads'}.`,
        fix: { words: 'Load anew', sets: [{ path: ['passes', i, 'carries'], to: false }] },
      },
    ]
  }),
)

/** A second load in the middle of a pattern comes out darker than the first. */
export const reload = ofSheets(({ step, sheet, world }) =>
  step.passes.flatMap((pass, i) => {
    const area = passOpenings(pass, sheet).reduce((a, o) => a + polygonArea(o), 0)
    const loadsAt = (dabs: number) => passLoads(pass, sheet, world, dabs)
    const loads = loadsAt(pass.dabs)
    if (loads < 2) return []
    let most = pass.dabs
    while (most > 1 && loadsAt(most) > 1) most--
    const fits = loadsAt(most) === 1 && most >= 2
    return [
      {
        level: 'tip' as const,
        title: `${loads} loads for this colour layer${step.twin.rule === 'none' ? '' : ' on each side'}`,
        why: `The ${TOOLS[pass.tool].name} holds too little for ${Math.round(area / 100)} cm² (estimate). Reload between two motifs, not in the middle of one, and test the fresh load on the hand.`,
        fix: fits
          ? { words: `${most} dabs, one load`, sets: [{ path: ['passes', i, 'dabs'], to: most }] }
          : null,
      },
    ]
  }),
)
