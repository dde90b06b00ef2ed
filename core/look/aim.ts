import { bearing, wrapDegrees, type Point } from '../geometry'
import type { SheetSide } from '../skin'

/**
 * The tilt that makes a sheet's own heading point at the focal point.
 * @param heading the sheet's own heading on side A, degrees clockwise from up
 */
export function aimedTilt(at: Point, side: SheetSide, heading: number, focus: Point): number {
  return wrapDegrees(bearing(at, focus) - (side === 'B' ? -heading : heading))
}
