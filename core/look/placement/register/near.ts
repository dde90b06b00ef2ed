import Flatbush from 'flatbush'
import type { Point, Polygon } from '../../../geometry'
import { distanceToRing } from '../../../stencil'

/** How far a point lies from the edge of an opening, mm. */
export const toEdge = ([x, y]: Point, o: Polygon): number =>
  Math.min(...[o.outer, ...o.holes].map(ring => distanceToRing(ring, x, y)))

/** An index of points, for finding the nearest. */
export const indexOf = (points: readonly Point[]): Flatbush => {
  const index = new Flatbush(Math.max(1, points.length))
  for (const [x, y] of points.length ? points : [[0, 0] as Point]) index.add(x, y, x, y)
  index.finish()
  return index
}
