import { distance, outlineThrough, type Point } from '../../geometry'

/** The middle of a closed outline between one of its handles and the next. */
export function between(points: readonly Point[], after: number, straight = false): Point {
  const a = points[after]!
  const b = points[(after + 1) % points.length]!
  if (straight) return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  const flat = outlineThrough(points, 2)
  const k = 4 * after + 2
  return [flat[k]!, flat[k + 1]!]
}

/** The handle after which a closed outline goes farthest without another. */
export function widestGap(points: readonly Point[]): number {
  const gap = (i: number) => distance(points[i]!, points[(i + 1) % points.length]!)
  return points.reduce((best, _, i) => (gap(i) > gap(best) ? i : best), 0)
}

/**
 * The handle without which a closed outline changes least: it makes the smallest triangle with its
 * neighbours.
 */
export function leastMissed(points: readonly Point[]): number {
  const n = points.length
  const triangle = (i: number) => {
    const [a, b, c] = [points[(i + n - 1) % n]!, points[i]!, points[(i + 1) % n]!]
    return Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]))
  }
  return points.reduce((best, _, i) => (triangle(i) < triangle(best) ? i : best), 0)
}
