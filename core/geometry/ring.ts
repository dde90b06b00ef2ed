import type { Point } from './point'

/** A closed ring as flat coordinates [x0, y0, x1, y1, ...] in mm; the last point is not repeated. */
export type Ring = Float64Array

/** An axis-aligned box in mm. */
export interface Box {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

export const EMPTY_BOX: Readonly<Box> = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity }

/** A ring from points. */
export function ringOf(points: Iterable<Point>): Ring {
  const flat: number[] = []
  for (const [x, y] of points) flat.push(x, y)
  return Float64Array.from(flat)
}

/** The points of a ring. */
export function pointsOf(ring: Ring): Point[] {
  const points: Point[] = []
  for (let i = 0; i < ring.length; i += 2) points.push([ring[i]!, ring[i + 1]!])
  return points
}

/** Signed area in mm2 by the shoelace formula: positive when the ring runs clockwise as seen with y down. */
export function signedArea(ring: Ring): number {
  const n = ring.length
  if (n < 6) return 0
  let twice = 0
  for (let i = 0, j = n - 2; i < n; j = i, i += 2) twice += ring[j]! * ring[i + 1]! - ring[i]! * ring[j + 1]!
  return twice / 2
}

/** Perimeter in mm. */
export function perimeter(ring: Ring): number {
  let sum = 0
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2)
    sum += Math.hypot(ring[i]! - ring[j]!, ring[i + 1]! - ring[j + 1]!)
  return sum
}

/** Centroid of the ring's area; the mean of its points where the area vanishes. */
export function ringCentroid(ring: Ring): Point {
  const n = ring.length
  let twice = 0,
    x = 0,
    y = 0,
    mx = 0,
    my = 0
  for (let i = 0, j = n - 2; i < n; j = i, i += 2) {
    const cross = ring[j]! * ring[i + 1]! - ring[i]! * ring[j + 1]!
    twice += cross
    x += (ring[j]! + ring[i]!) * cross
    y += (ring[j + 1]! + ring[i + 1]!) * cross
    mx += ring[i]!
    my += ring[i + 1]!
  }
  if (Math.abs(twice) < 1e-12) return [mx / (n / 2), my / (n / 2)]
  return [x / (3 * twice), y / (3 * twice)]
}

/** The box around a ring, grown from `into` when given. */
export function boxOf(ring: Ring, into: Readonly<Box> = EMPTY_BOX): Box {
  let { minX, minY, maxX, maxY } = into
  for (let i = 0; i < ring.length; i += 2) {
    const x = ring[i]!
    const y = ring[i + 1]!
    if (x < minX) minX = x
    if (x > maxX) maxX = x
    if (y < minY) minY = y
    if (y > maxY) maxY = y
  }
  return { minX, minY, maxX, maxY }
}

/** Whether two boxes have any area in common. */
export const boxesMeet = (a: Readonly<Box>, b: Readonly<Box>): boolean =>
  a.minX < b.maxX && b.minX < a.maxX && a.minY < b.maxY && b.minY < a.maxY

/** Whether a point lies inside a ring, by the even-odd rule. */
export function ringHolds(ring: Ring, x: number, y: number): boolean {
  let inside = false
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const yi = ring[i + 1]!
    const yj = ring[j + 1]!
    if (yi > y !== yj > y && x < ((ring[j]! - ring[i]!) * (y - yi)) / (yj - yi) + ring[i]!) inside = !inside
  }
  return inside
}

/** A ring run the other way round. */
export function reversed(ring: Ring): Ring {
  const out = new Float64Array(ring.length)
  for (let i = 0; i < ring.length; i += 2) {
    out[i] = ring[ring.length - 2 - i]!
    out[i + 1] = ring[ring.length - 1 - i]!
  }
  return out
}

/**
 * The rings of one print so that the largest runs clockwise (y down): a mirror image turns them all, and
 * would cancel what it overlaps.
 */
export function clockwise(rings: readonly Ring[]): readonly Ring[] {
  const largest = rings.reduce(
    (best, r) => (Math.abs(signedArea(r)) > Math.abs(best) ? signedArea(r) : best),
    0,
  )
  return largest < 0 ? rings.map(reversed) : rings
}
