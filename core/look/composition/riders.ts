import { tenthPoint, type Point } from '../../geometry'
import { layOn, type Ground, type Placement } from '../../skin'
import { NO_TWIN, type Twin } from '../document'
import {
  kindOf,
  mappedAxis,
  movedLoops,
  ofKind,
  placementOf,
  type SheetStep,
  type Step,
  type Wash,
} from '../kinds'
import { movedHandles } from '../placement'

/** Where a sheet lay under which a base rides, and where the base lay then. */
interface Ridden {
  readonly place: Placement
  readonly twin: Twin
  readonly points: string
}

const sheetUnder = (wash: Wash, steps: readonly Step[]): SheetStep | undefined =>
  ofKind('sheet', steps).find(s => s.id === wash.rides)

/** What is drawn on the skin over a sheet: where colours run, the only part that is dabbed, what is left free. */
interface Drawn {
  readonly place: Placement
  readonly drawings: string
}

/** What goes along with sheets, as it lay before an edit. */
export interface Riders {
  readonly bases: ReadonlyMap<string, Ridden>
  readonly drawn: ReadonlyMap<string, Drawn>
}

/** All that is drawn on the skin over a sheet, as text; empty where nothing is. */
function drawingsOf(step: SheetStep): string {
  const drawings = [
    step.passes.map(p => p.axis ?? null),
    step.passes.map(p => (p.part?.by === 'shape' ? p.part.loop : null)),
    step.holes ?? null,
  ]
  return drawings.flat().some(d => d !== null) ? JSON.stringify(drawings) : ''
}

/** The place of a sheet as it is now, whatever an edit does to the step. */
function keptPlace(step: SheetStep): Placement {
  const { at, tilt, side, grip } = placementOf(step)
  return { at: [at[0], at[1]], tilt, side, grip: [grip?.[0] ?? 0, grip?.[1] ?? 0] }
}

/** What is noted of what goes along with sheets, before an edit. */
export function ridersOf(steps: readonly Step[]): Riders {
  const drawn = new Map(
    ofKind('sheet', steps).flatMap(s => {
      const drawings = drawingsOf(s)
      return drawings ? [[s.id, { place: keptPlace(s), drawings }] as const] : []
    }),
  )
  return { bases: basesOf(steps), drawn }
}

function basesOf(steps: readonly Step[]): ReadonlyMap<string, Ridden> {
  const found = new Map<string, Ridden>()
  for (const wash of ofKind('wash', steps)) {
    const sheet = wash.points.length ? sheetUnder(wash, steps) : undefined
    if (!sheet) continue
    found.set(wash.id, {
      place: keptPlace(sheet),
      twin: { ...sheet.twin },
      points: JSON.stringify(wash.points),
    })
  }
  return found
}

/**
 * Takes what belongs to sheets along to where those are after an edit, in place: the bases under them, with
 * their twins, and all that is drawn over them. What the edit moved by itself stays where it was put.
 * @param before what was noted before the edit
 */
export function rideAlong(before: Riders, steps: readonly Step[], ground: Ground): void {
  for (const sheet of ofKind('sheet', steps)) {
    const was = before.drawn.get(sheet.id)
    if (was && drawingsOf(sheet) === was.drawings) bringAlong(sheet, was.place, ground)
  }
  for (const wash of ofKind('wash', steps)) {
    const was = before.bases.get(wash.id)
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

/** Takes what is drawn over a sheet from where the sheet lay to where it lies, in place. */
function bringAlong(sheet: SheetStep, place: Placement, ground: Ground): void {
  const now = placementOf(sheet)
  if (samePlace(place, now)) return
  const from = layOn(ground.surface, place)
  const to = layOn(ground.surface, now)
  moveDrawings(sheet, p => to.point(from.back(p)))
}

/** Moves all that is drawn on the skin over a sheet, in place. */
export function moveDrawings(sheet: SheetStep, map: (p: Point) => Point): void {
  for (const pass of sheet.passes) {
    const moved = pass.axis && mappedAxis(pass.axis, p => tenthPoint(map(p)))
    if (moved && moved.kind !== 'edge') pass.axis = moved
    if (pass.part?.by === 'shape') pass.part.loop = movedLoops([pass.part.loop], map)[0]!
  }
  if (sheet.holes) sheet.holes = movedLoops(sheet.holes, map)
}

const samePlace = (a: Placement, b: Placement): boolean =>
  JSON.stringify([a.at, a.tilt, a.side, a.grip ?? [0, 0]]) ===
  JSON.stringify([b.at, b.tilt, b.side, b.grip ?? [0, 0]])
