import { signedArea, simplified, type Polygon, type Ring } from '../../geometry'
import { measuringBudget } from '../bounds'
import type { SheetGeometry } from '../types'
import { edgesOf } from './edges'
import { proposedGroups, type OpeningGroup } from './groups'
import { islandsOf, openArea, type Island } from './islands'
import { latticeOf, type Lattice } from './lattice'
import { necksOf, type Neck } from './necks'
import { symmetryOf, type Symmetry } from './symmetry'
import { edgeMargin, slotsOf, type Slot } from './widths'

/** Everything that can be read off a sheet. Lengths mm, areas mm2. */
export interface Analysis {
  readonly openings: number
  readonly openArea: number
  /** Open share of the sheet, 0 to 1. */
  readonly openShare: number
  /** The narrowest bridge; null on a sheet of one simple opening. */
  readonly bridge: Neck | null
  /** All bridges below the width that was asked for, narrowest first. */
  readonly bridges: Neck[]
  readonly slot: Slot
  readonly slots: Slot[]
  readonly islands: Island[]
  readonly margin: { width: number; opening: number }
  readonly symmetry: Symmetry
  readonly lattice: Lattice | null
  readonly groups: OpeningGroup[]
}

/** What the drawer keeps of an analysis. */
export interface AnalysisSummary {
  openings: number
  openShare: number
  bridge: number | null
  slot: number
  islands: number
  margin: number
  axes: number[]
  turns: number[]
  lattice: Lattice | null
}

/** Bridges up to this width are listed, mm. */
export const LISTED_MM = 2.5

/** A ring of more points than this, or a sheet of more, is measured with fewer of them. */
const MANY = { ring: 1000, sheet: 40_000 } as const
/** How far a ring with fewer points leaves the one that was drawn, mm: less than measures are told to. */
const OFF_MM = 0.004

/** The sheet as it is measured: the same, or with fewer points where it has far more than its shape needs. */
export function measurable(sheet: SheetGeometry): SheetGeometry {
  const rings = sheet.openings.flatMap(o => [o.outer, ...o.holes])
  const points = rings.reduce((n, r) => n + r.length / 2, 0)
  if (points <= MANY.sheet && rings.every(r => r.length / 2 <= MANY.ring)) return sheet
  const light = (ring: Ring): Ring => {
    const lighter = simplified(ring, OFF_MM)
    return lighter.length >= 6 ? lighter : ring
  }
  const openings = sheet.openings.map((o): Polygon => ({ outer: light(o.outer), holes: o.holes.map(light) }))
  return { ...sheet, openings }
}

/**
 * Analyses a sheet whole. Throws RangeError with a sentence when its outlines are too fine to be measured.
 * @param below list the bridges narrower than this, mm
 * @param onProgress called with what is being done and the share done, 0 to 1
 */
export function analyse(
  drawn: SheetGeometry,
  below = LISTED_MM,
  onProgress: (words: string, done: number) => void = () => {},
): Analysis {
  onProgress('measuring bridges', 0)
  const sheet = measurable(drawn)
  const budget = measuringBudget()
  const edges = edgesOf(sheet)
  let reach = below,
    found = necksOf(edges, reach, done => onProgress('measuring bridges', 0.5 * done), null, budget)
  // A sheet with wide bridges only is searched farther, until one turns up or the sheet ends.
  while (
    found.bridges.length === 0 &&
    sheet.openings.length > 1 &&
    reach < Math.hypot(sheet.width, sheet.height)
  ) {
    reach *= 3
    found = necksOf(edges, reach, () => {}, null, budget)
  }
  onProgress('measuring slots', 0.5)
  const slots = slotsOf(sheet, edges, found.necks, reach, budget)
  const slot = slots.reduce((a, s) => (s.width < a.width ? s : a))
  onProgress('looking for symmetry', 0.65)
  const symmetry = symmetryOf(sheet.openings, budget)
  onProgress('looking for a lattice', 0.9)
  const open = openArea(sheet.openings)
  return {
    openings: sheet.openings.length,
    openArea: open,
    openShare: open / Math.abs(signedArea(sheet.outline)),
    bridge: found.bridges[0] ?? null,
    bridges: found.bridges.filter(b => b.width < below),
    slot,
    slots,
    islands: islandsOf(sheet, budget),
    margin: edgeMargin(sheet, budget),
    symmetry,
    lattice: latticeOf(sheet.openings),
    groups: proposedGroups(sheet.openings),
  }
}

/** The summary of an analysis, numbers rounded to a hundredth. */
export function summaryOf(a: Analysis): AnalysisSummary {
  const round = (v: number) => Math.round(v * 100) / 100
  return {
    openings: a.openings,
    openShare: round(a.openShare),
    bridge: a.bridge && round(a.bridge.width),
    slot: round(a.slot.width),
    islands: a.islands.length,
    margin: round(a.margin.width),
    axes: a.symmetry.axes.map(x => round(x.angle)),
    turns: a.symmetry.turns.map(t => t.order),
    lattice: a.lattice,
  }
}

export * from './edges'
export * from './groups'
export * from './islands'
export * from './lattice'
export * from './necks'
export * from './symmetry'
export * from './widths'
