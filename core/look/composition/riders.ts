import type { Point } from '../../geometry'
import { layOn, type Ground, type Placement } from '../../skin'
import { NO_TWIN, type Twin } from '../document'
import { kindOf, movedLoops, ofKind, placementOf, type SheetStep, type Step, type Wash } from '../kinds'
import { movedHandles } from '../placement'

/** Where a sheet lay under which a base rides, and where the base lay then. */
interface Ridden {
  readonly place: Placement
  readonly twin: Twin
  readonly points: string
}

const sheetUnder = (wash: Wash, steps: readonly Step[]): SheetStep | undefined =>
  ofKind('sheet', steps).find(s => s.id === wash.rides)

/** What is noted of the bases that ride under sheets, before an edit. */
export function ridersOf(steps: readonly Step[]): ReadonlyMap<string, Ridden> {
  const found = new Map<string, Ridden>()
  for (const wash of ofKind('wash', steps)) {
    const sheet = wash.points.length ? sheetUnder(wash, steps) : undefined
    if (!sheet) continue
    const { at, tilt, side, grip } = placementOf(sheet)
    const place = { at: [at[0], at[1]] as const, tilt, side, grip: [grip?.[0] ?? 0, grip?.[1] ?? 0] as const }
    found.set(wash.id, { place, twin: { ...sheet.twin }, points: JSON.stringify(wash.points) })
  }
  return found
}

/**
 * Takes the bases that lie under sheets along to where those are after an edit, in place, with their twins; one
 * that the edit moved by itself stays where it was put.
 * @param before what was noted before the edit
 */
export function rideAlong(before: ReadonlyMap<string, Ridden>, steps: readonly Step[], ground: Ground): void {
  for (const wash of ofKind('wash', steps)) {
    const was = before.get(wash.id)
    const sheet = was && sheetUnder(wash, steps)
    if (!sheet) continue
    if (sheet.twin.rule !== was.twin.rule && wash.twin.rule === was.twin.rule)
      wash.twin = { ...NO_TWIN, rule: sheet.twin.rule, about: sheet.twin.about, own: null }
    const now = placementOf(sheet)
    if (samePlace(was.place, now) || JSON.stringify(wash.points) !== was.points) continue
    const from = layOn(ground.surface, was.place)
    const to = layOn(ground.surface, now)
    const map = (p: Point): Point => to.point(from.back(p))
    kindOf<Step>(wash).moves.reshape(wash, movedHandles(wash.points, map), ground)
    if (wash.holes) wash.holes = movedLoops(wash.holes, map)
  }
}

const samePlace = (a: Placement, b: Placement): boolean =>
  JSON.stringify([a.at, a.tilt, a.side, a.grip ?? [0, 0]]) ===
  JSON.stringify([b.at, b.tilt, b.side, b.grip ?? [0, 0]])
