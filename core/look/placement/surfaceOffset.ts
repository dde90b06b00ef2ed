import Flatbush from 'flatbush'
import { distance, mix, pointsOf, shareAlong, type Point, type Polygon } from '../../geometry'
import { metricAt, type Surface } from '../../skin'

/** As many edges of a print are tried for the nearest to a point. */
const TRIED = 6

/**
 * Brings the points of outlines to a distance from a print that the skin measures: what is offset in the
 * picture lies too far off where the skin falls away.
 * @param print what they go around
 * @param away how far they should lie from the print's edge, mm; below 0 inside
 * @returns brings an outline there that was offset in the picture's plane
 */
export function onSurfaceAway(
  print: readonly Polygon[],
  away: number,
  surface: Surface,
): (points: readonly Point[]) => Point[] {
  const edges = print
    .flatMap(q => [q.outer, ...q.holes])
    .flatMap(ring => {
      const list = pointsOf(ring)
      return list.map((a, i) => [a, list[(i + 1) % list.length]!] as const)
    })
  if (Math.abs(away) < 0.05 || edges.length === 0) return points => [...points]
  const index = new Flatbush(edges.length)
  for (const [[ax, ay], [bx, by]] of edges)
    index.add(Math.min(ax, bx), Math.min(ay, by), Math.max(ax, bx), Math.max(ay, by))
  index.finish()
  const brought = (at: Point): Point => {
    let near: Point = at,
      least = Infinity
    for (const k of index.neighbors(at[0], at[1], TRIED)) {
      const [a, b] = edges[k]!
      const q = mix(a, b, shareAlong(at[0], at[1], ...a, ...b))
      const d = distance(at, q)
      if (d < least) [near, least] = [q, d]
    }
    if (least < 1e-6) return at
    const dx = at[0] - near[0]
    const dy = at[1] - near[1]
    const [E, F, G] = metricAt(surface, near[0] + dx / 2, near[1] + dy / 2)
    const long = Math.sqrt(E * dx * dx + 2 * F * dx * dy + G * dy * dy)
    return mix(near, at, Math.abs(away) / long)
  }
  return points => points.map(brought)
}
