import { wrapDegrees } from '../geometry'
import type { SheetSide } from '../skin'

/**
 * The tilt that makes a sheet's own heading go a way.
 * @param heading the sheet's own heading on side A, degrees clockwise from up
 * @param way the way it should point, degrees clockwise from up
 */
export const aimedTilt = (side: SheetSide, heading: number, way: number): number =>
  wrapDegrees(way - (side === 'B' ? -heading : heading))
