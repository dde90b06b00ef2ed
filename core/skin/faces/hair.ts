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

/** How hair may be worn. All but a bald head's keep to the same hairline. */
export const HAIR_CUTS = [
  'tied back',
  'short crop',
  'side parting',
  'band',
  'curls',
  'braids',
  'headscarf',
  'bald',
] as const
export type HairCut = (typeof HAIR_CUTS)[number]

/** What a headscarf is of, seen from the front and turned. */
export const SCARF = '#5d7f86'

/**
 * A point of the face at an angle from straight up (degrees, above 0 to the right of the picture) and a distance
 * from the hair's pole on the mean adult, mm; the reverse of `hairPolar`.
 */
export function hairPoint(form: Form, angle: number, r: number): Point {
  const xm = r * Math.sin(radians(angle))
  const ym = HAIR_POLE - r * Math.cos(radians(angle))
  return [xm * form.wide(ym), form.fromMean(ym)]
}

/** A point of the hair: 0 at the hairline, 1 at its outer edge when it lies flat, more where it stands off. */
export function hairAt(form: Form, angle: number, share: number): Point {
  const from = hairline(Math.abs(angle))
  return hairPoint(form, angle, from + (hairCrown(Math.abs(angle)) - from) * share)
}

/** The region of the picture that hair covers, mm. */
export function hairRing(form: Form): Ring {
  const points: number[] = []
  for (let a = -104; a <= 104; a += 4) points.push(...hairPoint(form, a, hairline(Math.abs(a))))
  for (let a = 104; a >= -104; a -= 4) points.push(...hairPoint(form, a, hairCrown(Math.abs(a)) + 4))
  return Float64Array.from(points)
}

/**
 * How much hair grows behind the ears and down to the nape: 0 where the skin is bare, 1 where it does.
 * @param round from the rim of the face (0) over the back of the head to the other (1)
 * @param y height, mm
 */
export function hairBehind(form: Form, cut: HairCut, round: number, y: number): number {
  const ym = form.toMean(y)
  const back = Math.sin(Math.PI * round)
  const ramp = (v: number) => Math.min(1, Math.max(0, v))
  // Curls fall over the ears; else the skin round them is bare.
  if (cut === 'curls') return ramp((52 + 16 * back - ym) / 6)
  const end = 20 + 46 * back ** 0.7
  return ramp((end - ym) / 6) * (1 - ramp((ym - 4) / 16) * (1 - ramp((back - 0.16) / 0.14)))
}
