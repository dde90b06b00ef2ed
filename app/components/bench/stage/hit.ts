import { polygonHolds, ringHolds, type Point } from '#core/geometry'
import { anchorOf, isMark, laidOf, type SheetStep, type Step, type World } from '#core/look'
import { touchesMark } from './marks'

/** A sheet under a point of the skin, and whether it is the step's twin. */
export interface Hit { readonly step: SheetStep, readonly twin: boolean }

/** Whether a step's sheet, or its twin, lies under a point: its whole outline, or only its openings. */
function hitOf(step: SheetStep, world: World, at: Point, whole: boolean): Hit | null {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  const reach = Math.hypot(sheet.width, sheet.height)
  const n = laidOf(step, world).findIndex((laid) => {
    const middle = laid.point([0, 0])
    // Far from the sheet nothing need be followed over the skin.
    if (Math.hypot(middle[0] - at[0], middle[1] - at[1]) > reach) return false
    const [x, y] = laid.back(at)
    return whole ? ringHolds(sheet.outline, x, y) : sheet.openings.some(o => polygonHolds(o, x, y))
  })
  return n < 0 ? null : { step, twin: n > 0 }
}

/** Whether the twin's side of a step is the one under a point. */
const onTwin = (step: Step, at: Point): boolean => step.twin.rule !== 'none' && isMark(step) && step.points.length > 0 && (step.twin.rule === 'turn' ? Math.sign(at[1]) !== Math.sign(anchorOf(step.points)[1]) : Math.sign(at[0]) !== Math.sign(anchorOf(step.points)[0]))

/** The step under a point of the skin: the selected sheet first by its whole outline, then what else is selected, then prints and strokes from the top down. */
export function stepAt(steps: readonly Step[], selected: SheetStep | null, chosen: readonly Step[], world: World, at: Point): { readonly step: Step, readonly twin: boolean } | null {
  const top = chosen.find(s => s.kind !== 'sheet' && s.kind !== 'wash' && touchesMark(s, world, at))
  if (top) return { step: top, twin: onTwin(top, at) }
  const own = selected && hitOf(selected, world, at, true)
  // Brushwork that lies on the selected sheet can still be picked up where it is.
  for (const step of [...steps].reverse()) {
    if (step.kind !== 'sheet' && step.kind !== 'wash' && touchesMark(step, world, at)) return { step, twin: onTwin(step, at) }
    const hit = !own && step.kind === 'sheet' ? hitOf(step, world, at, false) : null
    if (hit) return hit
  }
  // A base lies beneath everything: it is held only once it is selected.
  const base = own ? undefined : chosen.find(s => s.kind === 'wash' && touchesMark(s, world, at))
  return base ? { step: base, twin: onTwin(base, at) } : own
}
