import type { Point } from '../../geometry'
import { remembering, type Exponential, type Surface } from './surface'

/**
 * An elliptic cone or cylinder with its axis down the picture: half width at y = 0, how much it grows a mm
 * downward, and depth against width.
 */
export interface ConeShape {
  readonly half: number
  readonly growth: number
  readonly flat: number
}

/**
 * Half angles tabulated, and how far round the table goes: a little past the back, so that a sheet may lap
 * over it.
 */
const ENTRIES = 3000
const ROUND = 1.3 * Math.PI

/**
 * Half width of an ellipse of a girth whose depth is `flat` times its width, mm: Ramanujan's perimeter
 * (1914), turned round.
 */
export function halfWidthOfGirth(girth: number, flat: number): number {
  const h = ((1 - flat) / (1 + flat)) ** 2
  return girth / (Math.PI * (1 + flat) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h))))
}

/**
 * A cone's skin with what the charts need of it. Skin coordinates: x = mm round the arm from the middle of
 * its front, y = mm along it.
 */
export interface ConeSurface extends Surface {
  /** The half angle (radians, 0 = middle of the front) of a skin point. */
  readonly angle: (x: number, y: number) => number
  /** The skin's x at a half angle and height. */
  readonly across: (angle: number, y: number) => number
  readonly halfWidth: (y: number) => number
}

/**
 * An arm: it unrolls without stretching, so sheets are laid on it exactly. A point of the unrolled plane is
 * found by its ruling (an angle) and its distance from the apex along it; without growth the apex is at
 * infinity and the skin's own coordinates are the plane.
 */
export function cone({ half, growth, flat }: ConeShape): ConeSurface {
  const arc = new Float64Array(ENTRIES + 1)
  const turn = new Float64Array(ENTRIES + 1)
  const step = ROUND / ENTRIES
  const ruling = (angle: number): [number, number, number] => [
    growth * Math.sin(angle),
    1,
    growth * flat * Math.cos(angle),
  ]
  const length = (angle: number) => Math.hypot(...ruling(angle))
  for (let i = 1; i <= ENTRIES; i++) {
    const a = (i - 1) * step
    const b = i * step
    const speed = (t: number) => Math.sqrt(Math.cos(t) ** 2 + (flat * Math.sin(t)) ** 2)
    // Simpson's rule over each entry.
    arc[i] = arc[i - 1]! + (step / 6) * (speed(a) + 4 * speed((a + b) / 2) + speed(b))
    const p = ruling(a)
    const q = ruling(b)
    const lp = length(a)
    const lq = length(b)
    turn[i] =
      turn[i - 1]! +
      2 *
        Math.asin(
          Math.min(1, Math.hypot(p[0] / lp - q[0] / lq, p[1] / lp - q[1] / lq, p[2] / lp - q[2] / lq) / 2),
        )
  }
  const read = (table: Float64Array, angle: number): number => {
    const v = Math.min(ENTRIES, Math.abs(angle) / step)
    const i = Math.min(ENTRIES - 1, Math.floor(v))
    return Math.sign(angle) * (table[i]! + (v - i) * (table[i + 1]! - table[i]!))
  }
  const find = (table: Float64Array, value: number): number => {
    const wanted = Math.abs(value)
    let low = 0,
      high = ENTRIES
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if (table[middle]! <= wanted) low = middle
      else high = middle
    }
    return (
      Math.sign(value) * step * Math.min(ENTRIES, low + (wanted - table[low]!) / (table[high]! - table[low]!))
    )
  }
  const halfWidth = (y: number) => Math.max(1, half + growth * y)
  const angle = (x: number, y: number) => find(arc, x / halfWidth(y))
  const across = (a: number, y: number) => halfWidth(y) * read(arc, a)
  const straight = Math.abs(growth) < 1e-9
  const apex = straight ? 0 : -half / growth
  const way = growth > 0 ? 1 : -1

  /** The unrolled plane, and back. */
  const unrolled = (x: number, y: number): Point => {
    if (straight) return [x, y]
    const a = angle(x, y)
    const far = Math.abs(y - apex) * length(a)
    const t = read(turn, a)
    return [far * Math.sin(t), way * far * Math.cos(t)]
  }
  const rolled = (px: number, py: number): Point => {
    if (straight) return [px, py]
    const a = find(turn, Math.atan2(px, way * py))
    const y = apex + (way * Math.hypot(px, py)) / length(a)
    return [across(a, y), y]
  }
  return {
    angle,
    across,
    halfWidth,
    unrolls: true,
    position(x, y, out, k = 0) {
      const a = angle(x, y)
      const w = halfWidth(y)
      out[k] = w * Math.sin(a)
      out[k + 1] = y
      out[k + 2] = w * flat * Math.cos(a)
    },
    normal(x, y, out) {
      const a = angle(x, y)
      const nx = flat * Math.sin(a)
      const nz = Math.cos(a)
      const l = Math.hypot(nx, growth * flat, nz)
      out[0] = nx / l
      out[1] = (-growth * flat) / l
      out[2] = nz / l
    },
    exponential: remembering((at): Exponential => {
      const [ox, oy] = unrolled(...at)
      const t = straight ? 0 : read(turn, angle(...at))
      const c = Math.cos(t)
      const s = way * Math.sin(t)
      return {
        to(points, k) {
          const u = points[k]!
          const v = points[k + 1]!
          const [x, y] = rolled(ox + u * c + v * s, oy - u * s + v * c)
          points[k] = x
          points[k + 1] = y
        },
        from(x, y) {
          const [px, py] = unrolled(x, y)
          const dx = px - ox
          const dy = py - oy
          return [dx * c - dy * s, dx * s + dy * c]
        },
        stretch: () => 0,
      }
    }),
  }
}
