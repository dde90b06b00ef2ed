import {
  ellipseCurve,
  fittedCurve,
  perimeter,
  signedArea,
  type Curve,
  type Point,
  type Ring,
} from '../geometry'
import { cornersOf } from './corners'
import { discRadius } from './disc'
import { valueAt, type Plane } from './picture'
import type { Inside } from './tips'

/** A ring with its points at equal steps of about `step`. */
export function evenly(ring: Ring, step: number): Ring {
  const length = perimeter(ring)
  const n = Math.max(8, Math.round(length / step))
  const out = new Float64Array(2 * n)
  const count = ring.length / 2
  let i = 0
  let begun = 0
  let piece = Math.hypot(ring[2]! - ring[0]!, ring[3]! - ring[1]!)
  for (let k = 0; k < n; k++) {
    const want = (k * length) / n
    while (want > begun + piece && i < count - 1) {
      begun += piece
      i++
      const j = (i + 1) % count
      piece = Math.hypot(ring[2 * j]! - ring[2 * i]!, ring[2 * j + 1]! - ring[2 * i + 1]!)
    }
    const j = (i + 1) % count
    const t = piece > 0 ? (want - begun) / piece : 0
    out[2 * k] = ring[2 * i]! + (ring[2 * j]! - ring[2 * i]!) * t
    out[2 * k + 1] = ring[2 * i + 1]! + (ring[2 * j + 1]! - ring[2 * i + 1]!) * t
  }
  return out
}

/** How steep a plane is at a point, by the pixel. */
function steepness(plane: Plane, x: number, y: number): number {
  return Math.hypot(
    (valueAt(plane, x + 1, y) - valueAt(plane, x - 1, y)) / 2,
    (valueAt(plane, x, y + 1) - valueAt(plane, x, y - 1)) / 2,
  )
}

/** Outlines shorter than this say nothing of the blur, pixels. */
const LONG = 40

/** What a picture's edges are like. */
export interface Edges {
  /** Blur as the sigma of a Gaussian, pixels; a step of one has slope 1 / (sigma sqrt(2 pi)) in its middle. */
  readonly sigma: number
  /** Share of the edges that are much softer than the rest: not cut, but a shadow or a reflection. */
  readonly soft: number
}

/** Measures the edges of a plane of two levels (0 and 1) along outlines in pixels. */
export function edgesAlong(plane: Plane, rings: readonly Ring[]): Edges | null {
  const slopes: number[] = []
  const total = rings.reduce((n, r) => n + r.length / 2, 0)
  const every = 2 * Math.max(1, Math.floor(total / 20_000))
  for (const ring of rings) {
    if (ring.length / 2 < LONG) continue
    for (let i = 0; i < ring.length; i += every) slopes.push(steepness(plane, ring[i]!, ring[i + 1]!))
  }
  if (slopes.length < 12) return null
  slopes.sort((a, b) => a - b)
  const typical = slopes[Math.floor(0.6 * slopes.length)]!
  if (!(typical > 1e-4)) return null
  // Central differences over two pixels see an edge of sigma s as one of sqrt(s2 + 1/3).
  const seen = 1 / (typical * Math.sqrt(2 * Math.PI))
  return {
    sigma: Math.sqrt(Math.max(0.09, seen * seen - 1 / 3)),
    soft: slopes.filter(v => v < 0.3 * typical).length / slopes.length,
  }
}

/** A ring as a disc, when no point is further from its circle than `off`; null otherwise. */
function discOf(ring: Ring, off: number): { at: Point; radius: number } | null {
  const n = ring.length / 2
  let x = 0,
    y = 0
  for (let i = 0; i < ring.length; i += 2) {
    x += ring[i]! / n
    y += ring[i + 1]! / n
  }
  const radius = Math.sqrt(Math.abs(signedArea(ring)) / Math.PI)
  for (let i = 0; i < ring.length; i += 2)
    if (Math.abs(Math.hypot(ring[i]! - x, ring[i + 1]! - y) - radius) > off) return null
  return { at: [x, y], radius }
}

/** Moves each point out by what the blur moved it in: sigma squared by half the curvature there. */
function unshrunk(ring: Ring, sigma: number, free: (k: number) => boolean): Ring {
  const n = ring.length / 2
  const reach = Math.max(2, Math.round(1.5 * sigma))
  const out = Float64Array.from(ring)
  for (let k = 0; k < n; k++) {
    if (!free(k)) continue
    const a = ((k - reach + n) % n) * 2
    const b = ((k + reach) % n) * 2
    const ux = ring[2 * k]! - ring[a]!
    const uy = ring[2 * k + 1]! - ring[a + 1]!
    const vx = ring[b]! - ring[2 * k]!
    const vy = ring[b + 1]! - ring[2 * k + 1]!
    const lengths = (Math.hypot(ux, uy) + Math.hypot(vx, vy)) / 2
    const curvature = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) / lengths
    // A bend tighter than the blur is a tip that blur took back: moved out, it would have a neck.
    const loose = Math.max(0, Math.min(1, (1 - Math.abs(curvature) * sigma) / 0.4))
    const move = loose * Math.max(-0.6 * sigma, Math.min(0.6 * sigma, (sigma * sigma * curvature) / 2))
    const wx = ux + vx
    const wy = uy + vy
    const l = Math.hypot(wx, wy) || 1
    // Away from the middle of the bend.
    out[2 * k]! += (wy / l) * move
    out[2 * k + 1]! -= (wx / l) * move
  }
  return out
}

/** Variance of the smoothing along an outline that takes its grain off, square steps. */
const SMOOTHED = 2

/** A ring whose points are smoothed along it between corners, four times by (1, 2, 1) / 4. */
function calmed(ring: Ring, free: (k: number) => boolean): Ring {
  const n = ring.length / 2
  let from = ring
  for (let turn = 0; turn < 2 * SMOOTHED; turn++) {
    const to = Float64Array.from(from)
    for (let k = 0; k < n; k++) {
      if (!free(k)) continue
      const a = 2 * ((k - 1 + n) % n)
      const b = 2 * ((k + 1) % n)
      to[2 * k] = (from[a]! + 2 * from[2 * k]! + from[b]!) / 4
      to[2 * k + 1] = (from[a + 1]! + 2 * from[2 * k + 1]! + from[b + 1]!) / 4
    }
    from = to
  }
  return from
}

/** How far a fitted outline may lie from the points that it was fitted to, mm; and pixels, for their grain. */
const FIT_MM = 0.045
const FIT_PX = 0.35

/**
 * The outline of an opening from its contour in a picture blurred by `sigma` pixels: corners put back, the
 * shrinking of bends by the blur undone, and smooth runs as curves. In pixels.
 * @param fineness pixels to the millimetre
 * @param inside how much of a place is inside the outline, in the same picture
 */
export function outlineOf(contour: Ring, sigma: number, fineness: number, inside: Inside): Curve {
  const ring = evenly(contour, 1)
  const disc = discOf(ring, Math.max(0.3, 0.03 * fineness))
  if (disc) {
    const radius = discRadius(disc.radius, sigma)
    return ellipseCurve(disc.at, radius, radius)
  }
  const corners = cornersOf(ring, sigma, inside)
  const n = ring.length / 2
  const near = (k: number) =>
    corners.some(c => {
      const d = Math.abs(c.index - k)
      return Math.min(d, n - d) <= c.reach
    })
  const free = (k: number) => !near(k)
  // Smoothing along a bend moves it in as a blur across it does.
  const moved = unshrunk(calmed(ring, free), Math.sqrt(sigma * sigma + SMOOTHED), free)
  const points: number[] = []
  const ends: number[] = []
  for (let k = 0; k < n; k++) {
    const corner = corners.find(c => c.index === k)
    if (corner) {
      if (corner.sharp !== null) ends.push(points.length / 2 + corner.sharp)
      points.push(...corner.points.flat())
    } else if (!near(k)) points.push(moved[2 * k]!, moved[2 * k + 1]!)
  }
  return fittedCurve(Float64Array.from(points), ends, Math.max(FIT_PX, FIT_MM * fineness))
}
