import { mirrored, tenth, tenthPoint, wrapDegrees, type Point } from '../../geometry'
import { mirroredPlacement, mirroredZone } from '../../skin'
import { moveDrawings } from '../composition'
import { copied, NO_TWIN, type FreePlace } from '../document'
import { isKind, isMark, kindOf, mappedAxis, movedLoops, type SheetStep, type Step } from '../kinds'
import { liesOf } from '../placement'
import { groundFor, type Look } from '../look'

const HALVES: Partial<Record<FreePlace, FreePlace>> = {
  'left half': 'right half',
  'right half': 'left half',
}

function mirrorSheet(step: SheetStep): void {
  const place = ({ at, tilt, side, grip }: Pick<SheetStep, 'at' | 'tilt' | 'side' | 'grip'>) => {
    const image = mirroredPlacement({ at, tilt, side, grip })
    return { at: tenthPoint(image.at), tilt: tenth(wrapDegrees(image.tilt)), side: image.side, grip }
  }
  moveDrawings(step, mirrored)
  Object.assign(step, place(step))
  if (step.twin.own) step.twin.own = place({ ...step.twin.own, grip: step.twin.own.grip ?? [0, 0] })
  for (const { part } of step.passes) if (part?.by === 'zones') part.zones = part.zones.map(mirroredZone)
}

/**
 * A look as its mirror image, on the other side of the same canvas: stencils are flipped, brushwork is turned over
 * with its dark edges, zones and places change sides. An arm becomes the other arm.
 */
export function mirroredLook(look: Look): Look {
  const ground = groundFor(look)
  const next = copied(look)
  const over = (p: Point) => tenthPoint(mirrored(p))
  next.focus = over(look.focus)
  if (look.foci) next.foci = look.foci.map(over)
  if (next.canvas.kind === 'arm') next.canvas.side = next.canvas.side === 'left' ? 'right' : 'left'
  next.steps.forEach((step: Step, i) => {
    if (step.twin.about) step.twin.about = over(step.twin.about)
    if ('zones' in step) step.zones = step.zones.map(mirroredZone)
    if ('of' in step && step.of?.use === 'zones') step.of.zones = step.of.zones.map(mirroredZone)
    if ('free' in step && step.free) step.free = step.free.map(place => HALVES[place] ?? place)
    if (isKind('sheet', step)) return mirrorSheet(step)
    if ('holes' in step && step.holes) step.holes = movedLoops(step.holes, mirrored)
    const before = look.steps[i]!
    if (isMark(step) && isMark(before) && before.points.length) {
      // The twin by a plain mirror is what the step itself becomes.
      const twin = { ...NO_TWIN, rule: 'midline' as const, own: null }
      const lie = liesOf({ points: before.points, twin }, ground)[1]!
      const { twin: kept } = step
      step.points = lie.points.map(tenthPoint)
      kindOf<Step>(step).moves.becomeTwin(step, { ...before, twin } as Step, lie, ground)
      step.twin = kept
    } else if (isKind('wash', step)) step.axis = mappedAxis(step.axis, over)
  })
  return next
}
