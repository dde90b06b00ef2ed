import type { Point } from './point'
import { ringOf, type Ring } from './ring'

/** The convex hull of some rings by Andrew's monotone chain (1979). Throws RangeError without points. */
export function hullOf(rings: readonly Ring[]): Ring {
  const points: Point[] = []
  for (const r of rings) for (let i = 0; i < r.length; i += 2) points.push([r[i]!, r[i + 1]!])
  if (points.length === 0) throw new RangeError('A hull needs at least one point.')
  points.sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = []
    for (const p of list) {
      while (chain.length > 1) {
        const a = chain[chain.length - 2]!
        const b = chain[chain.length - 1]!
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break
        chain.pop()
      }
      chain.push(p)
    }
    return chain.slice(0, -1)
  }
  return ringOf([...half(points), ...half([...points].reverse())])
}
