import type { Point } from './point'
import { shareAlong } from './segment'
import { boxOf, EMPTY_BOX, ringCentroid, ringHolds, signedArea, type Box, type Ring } from './ring'

/** A region: one outer ring and the holes in it. */
export interface Polygon {
  readonly outer: Ring
  readonly holes: readonly Ring[]
}

/** Area in mm2, holes taken off. */
export function polygonArea(polygon: Polygon): number {
  return polygon.holes.reduce(
    (area, hole) => area - Math.abs(signedArea(hole)),
    Math.abs(signedArea(polygon.outer)),
  )
}

/** All rings of some polygons, outer rings and holes alike. */
export function ringsOf(polygons: Iterable<Polygon>): Ring[] {
  const rings: Ring[] = []
  for (const p of polygons) rings.push(p.outer, ...p.holes)
  return rings
}

/** The box around some polygons. */
export function boxAround(polygons: Iterable<Polygon>): Box {
  let box: Box = EMPTY_BOX
  for (const p of polygons) box = boxOf(p.outer, box)
  return box
}

/** Whether a point lies in a polygon and in none of its holes. */
export function polygonHolds(polygon: Polygon, x: number, y: number): boolean {
  return ringHolds(polygon.outer, x, y) && !polygon.holes.some(hole => ringHolds(hole, x, y))
}

/** The polygon with every ring put through `map`. */
export function mapPolygon(polygon: Polygon, map: (ring: Ring) => Ring): Polygon {
  return { outer: map(polygon.outer), holes: polygon.holes.map(map) }
}

/** Area-weighted centroid of some polygons; [0, 0] when there is no area. */
export function centroidOf(polygons: Iterable<Polygon>): Point {
  let area = 0,
    x = 0,
    y = 0
  const take = (ring: Ring, sign: number) => {
    const a = sign * Math.abs(signedArea(ring))
    const c = ringCentroid(ring)
    area += a
    x += a * c[0]
    y += a * c[1]
  }
  for (const p of polygons) {
    take(p.outer, 1)
    p.holes.forEach(hole => take(hole, -1))
  }
  return area > 0 ? [x / area, y / area] : [0, 0]
}

/**
 * How far the edges of one region stay from those of another, mm; infinite when either has none. Regions that
 * overlap are not told apart.
 */
export function distanceBetween(a: readonly Polygon[], b: readonly Polygon[]): number {
  const p = ringsOf(a)
  const q = ringsOf(b)
  let least = Infinity
  const from = (points: readonly Ring[], edges: readonly Ring[]) => {
    for (const ring of points)
      for (const edge of edges) {
        for (let k = 0; k < ring.length; k += 2) {
          const x = ring[k]!
          const y = ring[k + 1]!
          for (let i = 0, j = edge.length - 2; i < edge.length; j = i, i += 2) {
            const t = shareAlong(x, y, edge[j]!, edge[j + 1]!, edge[i]!, edge[i + 1]!)
            least = Math.min(
              least,
              Math.hypot(
                edge[j]! + (edge[i]! - edge[j]!) * t - x,
                edge[j + 1]! + (edge[i + 1]! - edge[j + 1]!) * t - y,
              ),
            )
          }
        }
      }
  }
  from(p, q)
  from(q, p)
  return least
}
