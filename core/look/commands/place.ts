import { tenth, tenthPoint, wrapDegrees, type Point } from '../../geometry'
import { layOn, type SheetSide } from '../../skin'
import { placementOf, printedMiddle, type SheetStep, type World } from '../kinds'
import { aimedTilt, atSoThat, bearingOn, liesAt, placementProblem } from '../placement'
import { onKind, Refused, type Command } from './command'

/** Where a sheet lies, as a command changes it. */
export interface Place {
  at: [number, number]
  tilt: number
  side: SheetSide
}

/**
 * The place of a step's sheet, or of its unlinked twin when that is the one held: held at its middle from now
 * on.
 */
function heldPlace(step: SheetStep, twin: boolean, { ground }: World): Place & { grip: [number, number] } {
  const now = (twin && step.twin.own) || placementOf(step)
  const [gx, gy] = now.grip ?? [0, 0]
  const at = gx || gy ? tenthPoint(layOn(ground.surface, now).point([0, 0])) : tenthPair(now.at)
  return { at, tilt: now.tilt, side: now.side, grip: [0, 0] }
}
const tenthPair = ([x, y]: Point): [number, number] => [x, y]

/**
 * Changes where a sheet lies, or its unlinked twin. What is turned or flipped stays where it prints, unless
 * it was moved as well; a sheet moved by hand is let go of its register. Refused where there is no skin.
 * @param twin the unlinked twin is held
 */
export const placeSheet = (
  step: SheetStep,
  twin: boolean,
  recipe: (place: Place) => void,
  world: World,
): Command => {
  const { ground } = world
  const now = heldPlace(step, twin, world)
  const pivot = printedMiddle(step, world)
  const there = liesAt(pivot, now, ground)
  const before = { ...now, at: tenthPair(now.at) }
  recipe(now)
  const turned = now.tilt !== before.tilt || now.side !== before.side
  const still = now.at[0] === before.at[0] && now.at[1] === before.at[1]
  if (turned && still && (pivot[0] || pivot[1])) now.at = atSoThat(pivot, there, now, ground)
  const problem = placementProblem(world.stencil(step.stencil), now, world)
  return onKind('sheet', step.id, s => {
    if (problem) throw new Refused(problem)
    if (twin && s.twin.own) s.twin.own = now
    else Object.assign(s, now, { register: null })
  })
}

/** Moves by some mm. */
export const shifted =
  (dx: number, dy: number) =>
  (place: Place): void => {
    place.at = tenthPoint([place.at[0] + dx, place.at[1] + dy])
  }

/** Turns by some degrees clockwise. */
export const turned =
  (by: number) =>
  (place: Place): void => {
    place.tilt = tenth(wrapDegrees(place.tilt + by))
  }

/** Flips to the other side. */
export const flipped = (place: Place): void => {
  place.side = place.side === 'A' ? 'B' : 'A'
}

/** Turns so that what is printed points at a point of the skin. */
export const aimed =
  (step: SheetStep, focus: Point, world: World) =>
  (place: Place): void => {
    const there = liesAt(printedMiddle(step, world), place, world.ground)
    const heading = world.stencil(step.stencil)?.heading ?? 0
    place.tilt = tenth(aimedTilt(place.side, heading, bearingOn(world.ground, there, focus)))
  }
