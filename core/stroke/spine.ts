import { distance, type Point } from '../geometry'

/** One pull of a brush: the way of its middle and its full width at each point, mm. */
export interface Spine {
  readonly points: readonly Point[]
  readonly widths: readonly number[]
  readonly closed?: boolean
}

/** Steps along a spine, mm. */
export const SPINE_STEP = 0.7

/** Length of a line through points, mm. */
export const lengthOf = (points: readonly Point[], closed = false): number =>
  points.reduce(
    (sum, p, i) =>
      i === 0 ? (closed ? sum + distance(points.at(-1)!, p) : sum) : sum + distance(points[i - 1]!, p),
    0,
  )

/** Share of the whole length at each point of a line, 0 to 1. */
export function sharesOf(points: readonly Point[]): number[] {
  let sum = 0
  const at = points.map((p, i) => (sum += i ? distance(points[i - 1]!, p) : 0))
  return at.map(v => (sum > 0 ? v / sum : 0))
}

/** A point and direction (unit vector) at some distance along a line. */
export interface Station {
  readonly at: Point
  readonly along: Point
}

/** Stations on a line at the given shares of its length, 0 to 1. A closed line goes on past its end. */
export function stationsAt(points: readonly Point[], shares: readonly number[], closed = false): Station[] {
  const line = closed ? [...points, points[0]!] : points
  const at = sharesOf(line)
  return shares.map(share => {
    const s = closed ? ((share % 1) + 1) % 1 : Math.min(1, Math.max(0, share))
    let i = at.findIndex(v => v >= s)
    if (i <= 0) i = 1
    const a = line[i - 1]!
    const b = line[i] ?? a
    const span = (at[i] ?? 1) - at[i - 1]!
    const t = span > 0 ? (s - at[i - 1]!) / span : 0
    const l = distance(a, b) || 1
    return {
      at: [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t] as Point,
      along: [(b[0] - a[0]) / l, (b[1] - a[1]) / l] as Point,
    }
  })
}

/** A spine along points with a width for each share of its length. */
export const spine = (points: readonly Point[], width: (share: number) => number): Spine => ({
  points,
  widths: sharesOf(points).map(width),
})

/** Thin, thick, thin along a stroke, mm. */
export const thinThickThin =
  (thick: number, thin: number) =>
  (t: number): number =>
    thin + (thick - thin) * Math.sin(Math.PI * Math.min(1, Math.max(0, t))) ** 0.8

/** A round head that is pulled out to a thin tail; `head` is the head's radius as a share of the length. */
export const dropWidth =
  (thick: number, thin: number, head: number) =>
  (t: number): number =>
    t < head
      ? Math.max(thin, thick * Math.sqrt(Math.max(0, 1 - ((head - t) / head) ** 2)))
      : thin + (thick - thin) * (0.5 + 0.5 * Math.cos(Math.PI * Math.min(1, (t - head) / (1 - head)))) ** 1.15

/**
 * Curvature at a point of a line by the circle through it and its neighbours (Menger), 1/mm; signed, positive
 * clockwise as seen with y down.
 */
export function curvatureAt(points: readonly Point[], i: number): number {
  const a = points[i - 1]!
  const b = points[i]!
  const c = points[i + 1]!
  const cross = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])
  const sides = distance(a, b) * distance(b, c) * distance(a, c)
  return sides > 0 ? (2 * cross) / sides : 0
}

/** A spine put through a map of points. */
export const mapSpine = (s: Spine, map: (p: Point) => Point): Spine => ({ ...s, points: s.points.map(map) })

/** A repeatable number in [-1, 1] for the n-th piece of a stroke: no two hairs are alike. */
export function jitter(n: number, salt = 0): number {
  const v = Math.sin(n * 12.9898 + salt * 78.233 + 4.1) * 43758.5453
  return 2 * (v - Math.floor(v)) - 1
}
