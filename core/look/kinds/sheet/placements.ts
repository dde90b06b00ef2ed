import { wrapDegrees } from '../../../geometry'
import { layOn, type Laid, type Placement } from '../../../skin'
import { twinOf } from '../../placement'
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
