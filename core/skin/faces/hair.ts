import { degrees, radians, type Point, type Ring } from '../../geometry'
import { monotoneCubic } from '../profile'
import type { Form } from './face'

/**
 * Hair is laid out on the mean adult around this height of the midline, by the angle from straight up
 * (degrees).
 */
const HAIR_POLE = -8
/** Where hair ends at the sides, degrees. */
export const HAIR_END = 112
/** Distance from the pole to the hairline and to the hair's outer edge on the mean adult, mm. */
export const hairline = monotoneCubic([
  [0, 57],
  [18, 57.5],
  [36, 60],
  [52, 63.5],
  [64, 64.5],
  [76, 63.5],
  [86, 65.5],
  [94, 69],
  [104, 73],
  [112, 76],
])
export const hairCrown = monotoneCubic([
  [0, 115],
  [15, 113.5],
  [30, 108.5],
  [45, 100.5],
  [60, 91.5],
  [75, 84],
  [86, 79],
  [95, 76.5],
  [104, 75],
  [112, 74],
])

/**
 * A point of the face as it lies on the mean adult, seen from the hair's pole: angle from straight up
 * (degrees, 0 to 180) and distance (mm).
 */
export function hairPolar(form: Form, x: number, y: number): { angle: number; r: number } {
  const ym = form.toMean(y)
  const xm = x / form.wide(ym)
  const dy = ym - HAIR_POLE
  return { angle: degrees(Math.atan2(Math.abs(xm), -dy)), r: Math.sqrt(xm * xm + dy * dy) }
}

/** The region of the picture that hair covers, mm. */
export function hairRing(form: Form): Ring {
  const at = (radius: (angle: number) => number, angle: number): Point => {
    const r = radius(Math.abs(angle))
    const xm = r * Math.sin(radians(angle))
    const ym = HAIR_POLE - r * Math.cos(radians(angle))
    return [xm * form.wide(ym), form.fromMean(ym)]
  }
  const points: number[] = []
  for (let a = -104; a <= 104; a += 4) points.push(...at(hairline, a))
  for (let a = 104; a >= -104; a -= 4) points.push(...at(t => hairCrown(t) + 4, a))
  return Float64Array.from(points)
}
