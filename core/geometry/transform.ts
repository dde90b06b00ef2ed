import type { Ring } from './ring'
import { radians } from './units'

/** An affine map as in SVG: x' = a x + c y + e, y' = b x + d y + f. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number]

export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0]

/** The map that applies `inner` first and `outer` after it. */
export function compose(outer: Affine, inner: Affine): Affine {
  const [a, b, c, d, e, f] = outer
  const [p, q, r, s, t, u] = inner
  return [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f]
}

export const translation = (x: number, y: number): Affine => [1, 0, 0, 1, x, y]
export const scaling = (x: number, y = x): Affine => [x, 0, 0, y, 0, 0]

/** A turn clockwise as seen with y down, in degrees, about a centre. */
export function rotation(angle: number, cx = 0, cy = 0): Affine {
  const k = Math.cos(radians(angle))
  const s = Math.sin(radians(angle))
  return [k, s, -s, k, cx - k * cx + s * cy, cy - s * cx - k * cy]
}

/** The reverse map; throws RangeError when the map is flat. */
export function inverse([a, b, c, d, e, f]: Affine): Affine {
  const det = a * d - b * c
  if (Math.abs(det) < 1e-15)
    throw new RangeError(
      `the transform [${[a, b, c, d, e, f].join(' ')}] flattens the plane and cannot be undone`,
    )
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det]
}

/** A ring put through a map. */
export function mapRing([a, b, c, d, e, f]: Affine, ring: Ring): Ring {
  const out = new Float64Array(ring.length)
  for (let i = 0; i < ring.length; i += 2) {
    const x = ring[i]!
    const y = ring[i + 1]!
    out[i] = a * x + c * y + e
    out[i + 1] = b * x + d * y + f
  }
  return out
}

/** The largest length that a unit vector can get under a map: how much flattening errors grow. */
export function stretchOf([a, b, c, d]: Affine): number {
  const s = a * a + b * b + c * c + d * d
  const det = a * d - b * c
  return Math.sqrt((s + Math.sqrt(Math.max(0, s * s - 4 * det * det))) / 2)
}
