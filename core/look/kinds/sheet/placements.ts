import { radians, wrapDegrees, type Point } from '../../../geometry'
import { layOn, type Laid, type Placement } from '../../../skin'
import type { OwnAxis } from '../../../stencil'
import { twinMap, twinOf } from '../../placement'
import type { World } from '../world'
import type { SheetStep } from './schema'

/** Where the sheet of a step lies. */
export const placementOf = ({ at, tilt, side, grip }: SheetStep): Placement => ({ at, tilt, side, grip })

/** Where the rule of a step's twin puts it; null when it has none. */
export function exactTwin(step: SheetStep, { ground, stencil }: World): Placement | null {
  return twinOf(
    ground,
    placementOf(step),
    step.twin.rule,
    step.twin.about,
    stencil(step.stencil)?.measures.axis ?? null,
  )
}

/** Where the sheet of a step lies, its twin after it when it has one. */
export function placementsOf(step: SheetStep, world: World): Placement[] {
  const own = placementOf(step)
  const twin = step.twin.rule === 'none' ? null : (step.twin.own ?? exactTwin(step, world))
  return twin ? [own, twin] : [own]
}

/**
 * The map from the side of a step's sheet to its twin's, for what is drawn on the skin over it; null when it has no
 * twin. A twin in a place of its own has its drawings where they lie on the sheet.
 */
export function acrossOf(step: SheetStep, world: World): ((p: Point) => Point) | null {
  const { own } = step.twin
  if (step.twin.rule === 'none' || !own) return twinMap(world.ground, step.twin)
  const { surface } = world.ground
  const from = layOn(surface, placementOf(step), world.quick)
  const to = layOn(surface, own, world.quick)
  const axis = world.stencil(step.stencil)?.measures.axis
  // Turned over in place, an even sheet stays on its side: its drawings are mirrored about its own axis.
  const mirrored = axis && own.side === step.side && step.twin.rule !== 'turn'
  return p => to.point(mirrored ? aboutAxis(axis, from.back(p)) : from.back(p))
}

/** The mirror image of a point of a sheet about its own axis. */
function aboutAxis({ angle, centre }: OwnAxis, [x, y]: Point): Point {
  const c = Math.cos(radians(2 * angle))
  const s = Math.sin(radians(2 * angle))
  const [dx, dy] = [x - centre[0], y - centre[1]]
  return [centre[0] - c * dx - s * dy, centre[1] - s * dx + c * dy]
}

/** Each sheet of a step laid on the skin. */
export const laidOf = (step: SheetStep, world: World): Laid[] =>
  placementsOf(step, world).map(p => layOn(world.ground.surface, p, world.quick))

/** The direction of a sheet on the skin, degrees clockwise from up; null when it has none. */
export function headingOf(heading: number | null | undefined, { tilt, side }: Placement): number | null {
  return heading === null || heading === undefined
    ? null
    : wrapDegrees((side === 'B' ? -heading : heading) + tilt)
}

/** What must be done to a sheet before its twin: nothing, a wipe and a flip, or another copy. */
export function twinHandling(
  step: SheetStep,
  world: World,
): 'none' | 'as it is' | 'wipe and flip' | 'second copy' {
  const [own, twin] = placementsOf(step, world)
  if (!twin || !own) return 'none'
  return twin.side === own.side
    ? 'as it is'
    : (world.stencil(step.stencil)?.copies ?? 1) > 1
      ? 'second copy'
      : 'wipe and flip'
}
