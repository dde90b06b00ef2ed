import { distance, type Point } from '../geometry'
import { landmarkList, type Landmarks, type NamedLandmark } from '../skin'

/** A position against the midline and the nearest landmark; left and right as the painter sees the face. */
export interface Where { readonly midline: string, readonly landmark: string, readonly nearest: NamedLandmark }

/** Closer than this counts as on the spot, mm. */
const ON = 0.5

const mm = (v: number): string => `${(Math.round(v * 2) / 2).toFixed(1).replace(/\.0$/, '')} mm`

/** How far one point lies from another, in words: "18 mm above, 4 mm right of". */
function offWords(dx: number, dy: number): string {
  const parts: string[] = []
  if (Math.abs(dy) >= ON) parts.push(`${mm(Math.abs(dy))} ${dy < 0 ? 'above' : 'below'}`)
  if (Math.abs(dx) >= ON) parts.push(`${mm(Math.abs(dx))} ${dx < 0 ? 'left of' : 'right of'}`)
  return parts.length === 0 ? 'on' : parts.join(' and ')
}

/** Where a point of the skin is, in a painter's words. */
export function whereIs(face: Landmarks, at: Point): Where {
  const [x] = at
  // On the midline a landmark of the midline says it best: it needs no "left" or "right".
  const marks = landmarkList(face).filter(mark => Math.abs(x) >= ON || mark.side === 'mid')
  const nearest = marks.reduce((best, mark) => distance(mark.at, at) < distance(best.at, at) ? mark : best)
  return {
    midline: Math.abs(x) < ON ? 'on the midline' : `${mm(Math.abs(x))} ${x < 0 ? 'left' : 'right'} of the midline`,
    landmark: `${offWords(at[0] - nearest.at[0], at[1] - nearest.at[1])} the ${nearest.words}`,
    nearest,
  }
}

/** A tilt as a clock direction for the sheet's top: "12 o'clock". */
export function clockOf(tilt: number): string {
  const halves = Math.round((((tilt % 360) + 360) % 360) / 15)
  const hour = Math.floor(halves / 2) % 12 || 12
  return halves % 2 ? `half past ${hour}` : `${hour} o'clock`
}
