import fitCurve from 'fit-curve'
import { cornerNode, type Curve, type CurveNode } from './curve'
import type { Point } from './point'
import { pointsOf, type Ring } from './ring'

type Pair = [number, number]
type Bezier = [Pair, Pair, Pair, Pair]
/** The package names it beside its main function, in a way that its types do not tell. */
const { fitCubic } = fitCurve as unknown as {
  fitCubic: (points: Pair[], left: Pair, right: Pair, squaredError: number) => Bezier[]
}

/** The fit tries again with better parameters only where errors are above one unit. */
const UNITS = 2

const unit = (x: number, y: number): Pair => {
  const l = Math.hypot(x, y)
  return l > 0 ? [x / l, y / l] : [1, 0]
}

/** Straight when no point of a run is further than this from its chord, mm. */
function straightRun(points: readonly Point[], within: number): boolean {
  const a = points[0]!
  const b = points.at(-1)!
  const [ux, uy] = unit(b[0] - a[0], b[1] - a[1])
  return points.every(p => Math.abs((p[0] - a[0]) * uy - (p[1] - a[1]) * ux) <= within)
}

/** The way in which a run sets out, from as many points as `reach` mm hold. */
function setsOut(points: readonly Point[], reach: number): Pair {
  const a = points[0]!
  let k = 1
  while (k < points.length - 1 && Math.hypot(points[k]![0] - a[0], points[k]![1] - a[1]) < reach) k++
  return unit(points[k]![0] - a[0], points[k]![1] - a[1])
}

/** Cubic pieces through a run of points, by Schneider 1990; `left` and `right` point into the run. */
function pieces(points: readonly Point[], left: Pair, right: Pair, tolerance: number): Bezier[] {
  const k = UNITS / tolerance
  const scaled = points.map(([x, y]): Pair => [x * k, y * k])
  const back = (p: Pair): Pair => [p[0] / k, p[1] / k]
  return fitCubic(scaled, left, right, UNITS * UNITS).map(b => b.map(back) as Bezier)
}

/** Adds the pieces of one run to nodes that end where it begins. */
function append(
  nodes: CurveNode[],
  run: readonly Point[],
  tangents: readonly [Pair, Pair],
  off: number,
): void {
  const last = nodes.pop()!
  if (run.length < 3 || straightRun(run, off / 2)) {
    nodes.push(last, cornerNode(run.at(-1)!))
    return
  }
  let from = last
  for (const [, one, two, end] of pieces(run, ...tangents, off)) {
    nodes.push({ ...from, after: one })
    from = { at: end, before: two, after: end }
  }
  nodes.push(from)
}

/** A closed run of nodes whose last one lies on its first, as a curve. */
function closed(nodes: readonly CurveNode[]): Curve {
  const [first, ...rest] = nodes
  const last = rest.pop()!
  const before = last.before === last.at ? first!.at : last.before
  return [{ at: first!.at, before, after: first!.after }, ...rest]
}

/** How far along a run its end tangents are taken, in steps of its points. */
const END_STEPS = 2.5

/**
 * A closed outline of cubic pieces through points that follow one another, no further than `off` mm from any
 * of them (Schneider 1990, An algorithm for automatically fitting digitized curves); straight runs stay
 * straight, and where nothing is a corner the outline has no kink.
 * @param corners numbers of the points that are corners, ascending
 */
export function fittedCurve(ring: Ring, corners: readonly number[], off: number): Curve {
  const points = pointsOf(ring)
  const n = points.length
  const at = (i: number): Point => points[((i % n) + n) % n]!
  // A smooth outline is parted at two points of its own, each with one tangent for both sides.
  const ends = corners.length ? corners : [0, Math.floor(n / 2)]
  const smooth = corners.length === 0
  const nodes: CurveNode[] = [cornerNode(at(ends[0]!))]
  ends.forEach((from, k) => {
    const to = k + 1 < ends.length ? ends[k + 1]! : ends[0]! + n
    const run = Array.from({ length: to - from + 1 }, (_, i) => at(from + i))
    const step = Math.hypot(run[1]![0] - run[0]![0], run[1]![1] - run[0]![1])
    const through = (i: number, sign: number): Pair =>
      unit(sign * (at(i + 1)[0] - at(i - 1)[0]), sign * (at(i + 1)[1] - at(i - 1)[1]))
    const tangents: [Pair, Pair] = smooth
      ? [through(from, 1), through(to, -1)]
      : [setsOut(run, END_STEPS * step), setsOut([...run].reverse(), END_STEPS * step)]
    append(nodes, run, tangents, off)
  })
  return closed(nodes)
}

/** The corners of a ring that was drawn, not measured: where it turns by more than `least` degrees. */
export function sharpPoints(ring: Ring, least = 32): number[] {
  const points = pointsOf(ring)
  const n = points.length
  const limit = Math.cos((least * Math.PI) / 180)
  return points.flatMap((p, i) => {
    const a = points[(i + n - 1) % n]!
    const b = points[(i + 1) % n]!
    const u = unit(p[0] - a[0], p[1] - a[1])
    const v = unit(b[0] - p[0], b[1] - p[1])
    return u[0] * v[0] + u[1] * v[1] < limit ? [i] : []
  })
}
