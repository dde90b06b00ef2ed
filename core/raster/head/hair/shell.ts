import type { Ring } from '../../../geometry'
import type { Form } from '../../../skin/faces/face'
import { HAIR_END, hairAt, hairCrown, hairline, hairPoint } from '../../../skin/faces/hair'
import { hash } from '../../grid'
import type { Strands } from './strands'
import { wayOf } from './strands'

/** The mass of hair beneath the strands: between two distances from the pole, by the angle; mm. */
export function bandRing(
  form: Form,
  [from, to]: readonly [number, number],
  inner: (angle: number) => number,
  outer: (angle: number) => number,
): Ring {
  const points: number[] = []
  for (let a = from; a <= to; a += 3) points.push(...hairPoint(form, a, inner(Math.abs(a))))
  for (let a = to; a >= from; a -= 3) points.push(...hairPoint(form, a, outer(Math.abs(a))))
  return Float64Array.from(points)
}

/** Lays the dark mass of hair beneath its strands, combed outward from the pole. */
export function drawShell(hair: Strands, ring: Ring, shade: number, soft: number, strength = 1): void {
  const { easel, form } = hair
  const [cx, cy] = hairPoint(form, 0, 0)
  hair.fill(easel.shape(ring, soft), shade, strength, (x, y) => [x - cx, y - cy])
}

/** A hairline without a cut edge: the mass begins a little behind it, and single hairs grow before it. */
export const behindLine = (by: number) => (angle: number) => hairline(angle) + by

/** Fine short hairs along the hairline, as they grow before the mass. */
export function drawHairline(hair: Strands, upTo = HAIR_END - 6): void {
  const { form } = hair
  const n = hair.count(230)
  for (let i = 0; i < n; i++) {
    const a = upTo * (2 * ((i + hash(i, 11)) / n) - 1)
    const lean = (hash(i, 12) - 0.5) * 7 + Math.sign(a) * 2
    const from = -0.07 + 0.12 * hash(i, 13)
    const long = 0.1 + 0.16 * hash(i, 14)
    hair.draw(
      wayOf(4, t => hairAt(form, a + lean * t * t, from + long * t)),
      { shade: 0.72 + 0.25 * hash(i, 15), width: 0.6, strength: 0.5, taper: [0.4, 0.9] },
      7000 + i,
    )
  }
}

/** Single hairs that stand off the outline. */
export function drawStrays(hair: Strands, outer: (angle: number) => number, upTo = 96): void {
  const n = hair.count(46)
  for (let i = 0; i < n; i++) {
    const a = upTo * (2 * ((i + hash(i, 21)) / n) - 1)
    const turn = (hash(i, 22) - 0.5) * 18
    const off = 1.2 + 2.8 * hash(i, 23)
    hair.draw(
      wayOf(8, t =>
        hairPoint(
          hair.form,
          a + turn * t,
          outer(Math.abs(a + turn * t)) - 3 + (3 + off) * Math.sin(Math.PI * t * 0.8),
        ),
      ),
      { shade: 0.9, width: 0.5, strength: 0.4, taper: [0.2, 0.4] },
      8000 + i,
    )
  }
}

/** Where hair lies flat: its edge on the mean adult, mm. */
export const flatEdge = (angle: number): number => hairCrown(Math.min(angle, HAIR_END))
