import { pointsOf, reversed, signedArea, type Point, type Ring } from '../geometry'
import type { Surface } from './surface'

/**
 * First fundamental form of a skin at a point: E, F, G of its own two coordinates (do Carmo, Differential
 * Geometry of Curves and Surfaces, 2.5).
 */
export function metricAt(surface: Surface, x: number, y: number): readonly [number, number, number] {
  const h = 0.25
  const o = new Float64Array(12)
  surface.position(x + h, y, o, 0)
  surface.position(x - h, y, o, 3)
  surface.position(x, y + h, o, 6)
  surface.position(x, y - h, o, 9)
  const ax = (o[0]! - o[3]!) / (2 * h)
  const ay = (o[1]! - o[4]!) / (2 * h)
  const az = (o[2]! - o[5]!) / (2 * h)
  const bx = (o[6]! - o[9]!) / (2 * h)
  const by = (o[7]! - o[10]!) / (2 * h)
  const bz = (o[8]! - o[11]!) / (2 * h)
  return [ax * ax + ay * ay + az * az, ax * bx + ay * by + az * bz, bx * bx + by * by + bz * bz]
}

/** A line on the skin that a brush follows, with its full width at each point; skin coordinates, mm. */
export interface Pull {
  readonly points: readonly Point[]
  readonly widths: readonly number[]
  readonly closed?: boolean
}

/**
 * Points beside a line, square to it in the skin's own measure: `at` -0.5 is its left edge, 0.5 its right
 * edge.
 */
function edges(surface: Surface, { points, widths, closed = false }: Pull): (at: number) => Float64Array {
  const n = points.length
  const normal = new Float64Array(2 * n)
  for (let i = 0; i < n; i++) {
    const p = points[closed ? (i + n - 1) % n : Math.max(0, i - 1)]!
    const q = points[closed ? (i + 1) % n : Math.min(n - 1, i + 1)]!
    const [x, y] = points[i]!
    const tx = q[0] - p[0]
    const ty = q[1] - p[1]
    const [E, F, G] = metricAt(surface, x, y)
    const l =
      Math.sqrt(Math.max(1e-12, E * tx * tx + 2 * F * tx * ty + G * ty * ty)) *
      Math.sqrt(Math.max(1e-9, E * G - F * F))
    normal[2 * i] = -(F * tx + G * ty) / l
    normal[2 * i + 1] = (E * tx + F * ty) / l
  }
  return at => Float64Array.from(normal, (v, k) => points[k >> 1]![k & 1]! + v * at * widths[k >> 1]!)
}

/** The left and the right edge of what a brush covers that is drawn along a line, point by point. */
export function railsOf(surface: Surface, pull: Pull): { left: Point[]; right: Point[] } {
  const edge = edges(surface, pull)
  return { left: pointsOf(edge(-0.5)), right: pointsOf(edge(0.5)) }
}

/**
 * What a brush covers that is drawn along a line of the skin: it is as wide as it presses everywhere,
 * measured on the skin, square to its way.
 * @param cuts across its width from the left edge (-0.5) to the right (0.5): each pair of neighbours bounds
 *   one strip
 * @param under how far a strip goes on beneath the next one, as a share of the width
 * @returns for each strip one ring, or an outer and an inner one for a closed line
 */
export function ribbons(
  surface: Surface,
  pull: Pull,
  cuts: readonly number[] = [-0.5, 0.5],
  under = 0,
): Ring[][] {
  const edge = edges(surface, pull)
  const n = pull.points.length
  return cuts.slice(1).map((hi, k) => {
    const a = edge(cuts[k]!)
    const b = edge(k + 2 < cuts.length ? hi + Math.sign(hi - cuts[k]!) * under : hi)
    if (pull.closed) {
      const [outer, inner] = Math.abs(signedArea(a)) > Math.abs(signedArea(b)) ? [a, b] : [b, a]
      return [run(outer, 1), run(inner, -1)]
    }
    const ring = new Float64Array(4 * n)
    ring.set(a)
    for (let i = 0; i < n; i++) {
      ring[2 * n + 2 * i] = b[2 * (n - 1 - i)]!
      ring[2 * n + 2 * i + 1] = b[2 * (n - 1 - i) + 1]!
    }
    return [run(ring, 1)]
  })
}

/** A ring that runs clockwise (1) or the other way round (-1). */
const run = (ring: Ring, way: 1 | -1): Ring =>
  Math.sign(signedArea(ring)) * way >= 0 ? ring : reversed(ring)

/**
 * Points round a middle at some mm, measured on the skin at that middle; `radius` may depend on the direction
 * (degrees clockwise from up).
 */
export function roundOn(
  surface: Surface,
  [x, y]: Point,
  radius: number | ((degrees: number) => number),
  pieces = 28,
): Ring {
  const [E, F, G] = metricAt(surface, x, y)
  const e = Math.sqrt(E)
  const k = Math.sqrt(Math.max(1e-9, E * G - F * F))
  const out = new Float64Array(2 * pieces)
  for (let i = 0; i < pieces; i++) {
    const a = (2 * Math.PI * i) / pieces
    const r = typeof radius === 'number' ? radius : radius((360 * i) / pieces)
    const u = r * Math.sin(a)
    const v = -r * Math.cos(a)
    // Gram-Schmidt: along the first coordinate, and square to it.
    out[2 * i] = x + u / e - (v * F) / (e * k)
    out[2 * i + 1] = y + (v * e) / k
  }
  return run(out, 1)
}
