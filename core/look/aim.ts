import { degrees, wrapDegrees, type Point } from '../geometry'
import type { SheetSide } from '../skin'

/** Bearing from one point to another, degrees clockwise from up. */
export const bearing = ([x0, y0]: Point, [x1, y1]: Point): number => wrapDegrees(degrees(Math.atan2(x1 - x0, y0 - y1)))

/**
 * The tilt that makes a sheet's own heading point at the focal point.
 * @param heading the sheet's own heading on side A, degrees clockwise from up
 */
export function aimedTilt(at: Point, side: SheetSide, heading: number, focus: Point): number {
  return wrapDegrees(bearing(at, focus) - (side === 'B' ? -heading : heading))
}
