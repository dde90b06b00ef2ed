import { bearing, wrapDegrees, type Point } from '../../geometry'
import type { Ground, SheetSide } from '../../skin'

/**
 * The tilt that makes a sheet's own heading go a way.
 * @param heading the sheet's own heading on side A, degrees clockwise from up
 * @param way the way it should point, degrees clockwise from up
 */
export const aimedTilt = (side: SheetSide, heading: number, way: number): number =>
  wrapDegrees(way - (side === 'B' ? -heading : heading))

/**
 * The way from a point of the skin to another, degrees clockwise from up in the skin's tangent plane there.
 */
export function bearingOn(ground: Ground, at: Point, to: Point): number {
  return bearing([0, 0], ground.surface.exponential(at).from(...to))
}

/** The way that counts of something that may lead both ways: the one nearer to the aim, degrees. */
export const towards = (heading: number, both: boolean | undefined, aim: number): number =>
  both && Math.abs(wrapDegrees(heading - aim)) > 90 ? heading + 180 : heading
