import { boxOf, polygonHolds, ringHolds, type Point } from '#core/geometry'
import {
  anchorOf,
  isMark,
  laidOf,
  liesOf,
  paintedOpenings,
  type SheetStep,
  type Step,
  type World,
} from '#core/look'
import { distanceToRing } from '#core/stencil'
import { touchesMark } from './marks'

/** A sheet under a point of the skin, and whether it is the step's twin. */
export interface Hit {
  readonly step: SheetStep
  readonly twin: boolean
}

/** How far beside what it prints the selected sheet is still held, mm; all of it where it prints as a whole. */
const BESIDE = 4

/** Whether a step's sheet, or its twin, lies under a point: where it is held as the selected one, or only where it prints. */
function hitOf(step: SheetStep, world: World, at: Point, held: boolean): Hit | null {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  const reach = Math.hypot(sheet.width, sheet.height)
  const painted = paintedOpenings(step, world)
  const all = painted[0]!.size === sheet.openings.length
  const near = (n: number, x: number, y: number): boolean => {
    const o = sheet.openings[n]
    if (!o || polygonHolds(o, x, y)) return o !== undefined
    const b = boxOf(o.outer)
    return (
      held &&
      x > b.minX - BESIDE &&
      x < b.maxX + BESIDE &&
      y > b.minY - BESIDE &&
      y < b.maxY + BESIDE &&
      (ringHolds(o.outer, x, y) || distanceToRing(o.outer, x, y) < BESIDE)
    )
  }
  const n = laidOf(step, world).findIndex((laid, i) => {
    const middle = laid.point([0, 0])
    // Far from the sheet nothing need be followed over the skin.
    if (Math.hypot(middle[0] - at[0], middle[1] - at[1]) > reach) return false
    const [x, y] = laid.back(at)
    return held && all ? ringHolds(sheet.outline, x, y) : [...painted[i]!].some(k => near(k, x, y))
  })
  return n < 0 ? null : { step, twin: n > 0 }
}

/** Whether the twin's side of a step is the one nearer to a point. */
function onTwin(step: Step, world: World, at: Point): boolean {
  if (step.twin.rule === 'none' || !isMark(step) || step.points.length === 0) return false
  const far = liesOf(step, world.ground).map(({ points }) =>
    Math.min(...[...points, anchorOf(points)].map(p => Math.hypot(p[0] - at[0], p[1] - at[1]))),
  )
  return far.length > 1 && far[1]! < far[0]!
}

/** The step under a point of the skin: the selected sheet first by its whole outline, then what else is selected, then prints and strokes from the top down. */
export function stepAt(
  steps: readonly Step[],
  selected: SheetStep | null,
  chosen: readonly Step[],
  world: World,
  at: Point,
): { readonly step: Step; readonly twin: boolean } | null {
  const top = chosen.find(s => s.kind !== 'sheet' && s.kind !== 'wash' && touchesMark(s, world, at))
  if (top) return { step: top, twin: onTwin(top, world, at) }
  const own = selected && hitOf(selected, world, at, true)
  // Brushwork that lies on the selected sheet can still be picked up where it is.
  for (const step of [...steps].reverse()) {
    if (step.kind !== 'sheet' && step.kind !== 'wash' && touchesMark(step, world, at))
      return { step, twin: onTwin(step, world, at) }
    const hit = !own && step.kind === 'sheet' ? hitOf(step, world, at, false) : null
    if (hit) return hit
  }
  // A base lies beneath everything: it is held only once it is selected.
  const base = own ? undefined : chosen.find(s => s.kind === 'wash' && touchesMark(s, world, at))
  return base ? { step: base, twin: onTwin(base, world, at) } : own
}
