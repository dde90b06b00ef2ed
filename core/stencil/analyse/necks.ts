import type { Point } from '../../geometry'
import { measuringBudget, type Budget } from '../bounds'
import { distanceTo, nearestOf, type Edges } from './edges'

/** A narrow place: its width and the two points between which it was measured, mm. */
export interface Neck {
  readonly width: number
  readonly from: Point
  readonly to: Point
  readonly openings: readonly [number, number]
}

/**
 * Bridges (solid material between openings, or between two stretches of one) and necks of openings, narrowest
 * first.
 */
export interface Necks {
  readonly bridges: Neck[]
  readonly necks: Neck[]
}

/**
 * Every local minimum of width up to `reach` mm: pairs of boundary points that cannot come nearer by sliding
 * along either boundary, and with no other boundary between them. The tapering tip of an opening is no neck:
 * there the points slide on to the tip.
 * @param onProgress called with the share done, 0 to 1
 * @param only looks at the edges of one opening alone
 * @param budget what may be spent on it; throws RangeError with a sentence when it is too little
 */
export function necksOf(
  e: Edges,
  reach: number,
  onProgress: (done: number) => void = () => {},
  only: number | null = null,
  budget: Budget = measuringBudget(),
): Necks {
  const bridges: Neck[] = []
  const necks: Neck[] = []
  const near = new Float64Array(5)
  const seen = new Set<string>()
  const [first, last] =
    only === null ? [0, e.count] : [e.opening.indexOf(only), e.opening.lastIndexOf(only) + 1]
  for (let i = first; i < last; i++) {
    if (i % 4096 === 0) onProgress(i / e.count)
    const found = e.index.search(
      Math.min(e.x0[i]!, e.x1[i]!) - reach,
      Math.min(e.y0[i]!, e.y1[i]!) - reach,
      Math.max(e.x0[i]!, e.x1[i]!) + reach,
      Math.max(e.y0[i]!, e.y1[i]!) + reach,
      k => k > i && k < last,
    )
    budget.spend(found.length + 1)
    for (const j of found) {
      if (e.before[i] === j || e.after[i] === j) continue
      nearestOf(e, i, j, near)
      const width = near[4]!
      if (width > reach || width < 1e-7) continue
      const px = near[0]!
      const py = near[1]!
      const qx = near[2]!
      const qy = near[3]!
      if (e.ring[i] === e.ring[j]) {
        budget.spend(SAME_RING)
        if (wiggle(e, i, j, near)) continue
      }
      if (slides(e, i, px, py, qx, qy, width) || slides(e, j, qx, qy, px, py, width)) continue
      budget.spend(CROSSED)
      const into = side(e, i, px, py, qx - px, qy - py)
      if (into !== side(e, j, qx, qy, px - qx, py - qy) || into === 0) continue
      const key = [px + qx, py + qy, width].map(v => Math.round(v * 200)).join()
      if (seen.has(key) || crossed(e, i, j, px, py, qx, qy)) continue
      seen.add(key)
      const neck: Neck = { width, from: [px, py], to: [qx, qy], openings: [e.opening[i]!, e.opening[j]!] }
      ;(into < 0 ? bridges : necks).push(neck)
    }
  }
  return { bridges: thinned(bridges), necks: thinned(necks) }
}

/** Two pieces of one ring cost so much more than two of different ones: most of those lie too far apart. */
const SAME_RING = 4
/** Looking whether anything crosses a way costs as much as comparing so many pairs. */
const CROSSED = 3

/** Narrowest first, and along edges that run beside each other one in every few mm only. */
function thinned(list: Neck[]): Neck[] {
  const kept = new Map<string, Point[]>()
  return list
    .sort((a, b) => a.width - b.width)
    .filter(({ width, from, to, openings }) => {
      const key = [...openings].sort((a, b) => a - b).join()
      const near = kept.get(key) ?? []
      const mid: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
      if (near.some(p => Math.hypot(p[0] - mid[0], p[1] - mid[1]) < Math.max(2, 2 * width))) return false
      kept.set(key, [...near, mid])
      return true
    })
}

/**
 * Whether two places of one ring lie so near along it that the narrow place between them is only a roughness
 * of the edge.
 */
function wiggle(e: Edges, i: number, j: number, near: Float64Array): boolean {
  const a = e.along[i]! + Math.sqrt(apart2(near[0]!, near[1]!, e.x0[i]!, e.y0[i]!))
  const b = e.along[j]! + Math.sqrt(apart2(near[2]!, near[3]!, e.x0[j]!, e.y0[j]!))
  const way = Math.min(Math.abs(a - b), e.whole[i]! - Math.abs(a - b))
  return way < 0.4 || way < 1.5 * near[4]!
}

/** Whether the point p on piece k comes nearer to q on a neighbouring piece of its ring. */
function slides(e: Edges, k: number, px: number, py: number, qx: number, qy: number, width: number): boolean {
  const least = width * (1 - 1e-6) - 1e-7
  const atStart = apart2(px, py, e.x0[k]!, e.y0[k]!) < 1e-12
  const atEnd = apart2(px, py, e.x1[k]!, e.y1[k]!) < 1e-12
  return (
    (atStart && distanceTo(e, e.before[k]!, qx, qy) < least) ||
    (atEnd && distanceTo(e, e.after[k]!, qx, qy) < least)
  )
}

/** Square of the distance between two points. */
const apart2 = (ax: number, ay: number, bx: number, by: number): number =>
  (ax - bx) * (ax - bx) + (ay - by) * (ay - by)

/** Whether a direction from p leads into the opening (1), into the material (-1), or along the edge (0). */
function side(e: Edges, k: number, px: number, py: number, dx: number, dy: number): number {
  const at = (m: number) => {
    const ex = e.x1[m]! - e.x0[m]!
    const ey = e.y1[m]! - e.y0[m]!
    const l = Math.hypot(ex, ey) || 1
    return (-ey * dx + ex * dy) / l
  }
  let s = at(k)
  if (Math.hypot(px - e.x0[k]!, py - e.y0[k]!) < 1e-6) s += at(e.before[k]!)
  else if (Math.hypot(px - e.x1[k]!, py - e.y1[k]!) < 1e-6) s += at(e.after[k]!)
  return Math.abs(s) < 1e-6 * Math.hypot(dx, dy) ? 0 : Math.sign(s)
}

/** Whether another boundary crosses the way from p to q. */
function crossed(e: Edges, i: number, j: number, px: number, py: number, qx: number, qy: number): boolean {
  const skip = new Set([i, j, e.before[i]!, e.after[i]!, e.before[j]!, e.after[j]!])
  const hits = e.index.search(
    Math.min(px, qx),
    Math.min(py, qy),
    Math.max(px, qx),
    Math.max(py, qy),
    k => !skip.has(k),
  )
  const turn = (ax: number, ay: number, bx: number, by: number, cx: number, cy: number) =>
    (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
  return hits.some(k => {
    const a = turn(px, py, qx, qy, e.x0[k]!, e.y0[k]!)
    const b = turn(px, py, qx, qy, e.x1[k]!, e.y1[k]!)
    const c = turn(e.x0[k]!, e.y0[k]!, e.x1[k]!, e.y1[k]!, px, py)
    const d = turn(e.x0[k]!, e.y0[k]!, e.x1[k]!, e.y1[k]!, qx, qy)
    return a * b < 0 && c * d < 0
  })
}
