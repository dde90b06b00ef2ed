import type { Point } from '../../geometry'
import { anchorOf } from '../placement'

/** On which side of its way the dark end of a brush or sponge lies. */
type Side = 'left' | 'right'

/**
 * How far outward the dark edge of a stroke of several colours looks: above 0 away from a point, below 0
 * toward it.
 */
export function darkOutward(points: readonly Point[], dark: Side, from: Point): number {
  const a = points[0]!
  const b = points.at(-1)!
  const [x, y] = anchorOf(points)
  const way = dark === 'right' ? 1 : -1
  return way * (-(b[1] - a[1]) * (x - from[0]) + (b[0] - a[0]) * (y - from[1]))
}

/** The other side of a way. */
export const other = (dark: Side): Side => (dark === 'left' ? 'right' : 'left')
