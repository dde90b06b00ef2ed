import { bearing, distance, mix, radians, smoothThrough, type Point } from '../geometry'
import { SPINE_STEP } from './spine'

/** A smooth line through two or more handles, in even small steps. */
export function pathThrough(handles: readonly Point[], closed = false): Point[] {
  if (handles.length < 3) return lineTo(handles[0]!, handles[1] ?? handles[0]!)
  const longest = Math.max(...handles.map((p, i) => distance(p, handles[(i + 1) % handles.length]!)))
  const flat = smoothThrough(handles, closed, Math.max(6, Math.ceil(longest / SPINE_STEP)))
  const points: Point[] = []
  for (let i = 0; i < flat.length; i += 2) points.push([flat[i]!, flat[i + 1]!])
  return points
}

/** A straight line in small steps. */
export function lineTo(a: Point, b: Point): Point[] {
  const n = Math.max(2, Math.ceil(distance(a, b) / SPINE_STEP))
  return Array.from({ length: n + 1 }, (_, i) => mix(a, b, i / n))
}

/** Arcs of a larger radius are straight lines to a hand, mm. */
const STRAIGHT = 600

/** A circular arc from a to c through b; a straight line when the three lie on one. */
export function arcThrough(a: Point, b: Point, c: Point): Point[] {
  const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]))
  if (Math.abs(d) < 1e-6) return lineTo(a, c)
  const sq = (p: Point) => p[0] * p[0] + p[1] * p[1]
  const x = (sq(a) * (b[1] - c[1]) + sq(b) * (c[1] - a[1]) + sq(c) * (a[1] - b[1])) / d
  const y = (sq(a) * (c[0] - b[0]) + sq(b) * (a[0] - c[0]) + sq(c) * (b[0] - a[0])) / d
  const r = Math.hypot(a[0] - x, a[1] - y)
  const angle = (p: Point) => Math.atan2(p[1] - y, p[0] - x)
  const from = angle(a)
  const turn = (to: number) => (((to - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
  // Handles nearly on one line would make a circle as large as a house: then it goes straight from one to the
  // next.
  if (r > STRAIGHT) return [...lineTo(a, b), ...lineTo(b, c).slice(1)]
  // The way round that meets b before c.
  const whole = turn(angle(b)) < turn(angle(c)) ? turn(angle(c)) : turn(angle(c)) - 2 * Math.PI
  const n = Math.max(6, Math.ceil((Math.abs(whole) * r) / SPINE_STEP))
  return Array.from({ length: n + 1 }, (_, i): Point =>
    i === n ? c : [x + r * Math.cos(from + (whole * i) / n), y + r * Math.sin(from + (whole * i) / n)],
  )
}

/**
 * An S of two circular arcs: from a through b to the middle of a and c, then the same turned half round, to
 * c. Both meet in one direction.
 */
export function sCurve(a: Point, b: Point, c: Point): Point[] {
  const middle = mix(a, c, 0.5)
  const first = arcThrough(a, b, middle)
  return [
    ...first,
    ...first
      .slice(0, -1)
      .reverse()
      .map(([x, y]): Point => [2 * middle[0] - x, 2 * middle[1] - y]),
  ]
}

/**
 * A logarithmic spiral r = r0 exp(-b t) from a point round a centre, t the angle turned through in radians.
 * Length (r0 - r1) sqrt(1 + b^2) / b, curvature 1 / (r sqrt(1 + b^2)) (Lawrence, A Catalog of Special Plane
 * Curves, 1972).
 * @param turns how often it goes round; below 0 the other way
 * @param shrink radius at its end against that at its start, above 0 and below 1
 */
export function logSpiral(centre: Point, from: Point, turns: number, shrink: number): Point[] {
  const r0 = distance(centre, from)
  const start = radians(bearing(centre, from))
  const whole = 2 * Math.PI * Math.abs(turns)
  const b = -Math.log(shrink) / whole
  const way = Math.sign(turns) || 1
  const length = (r0 * (1 - shrink) * Math.sqrt(1 + b * b)) / b
  const n = Math.max(24, Math.ceil(length / (SPINE_STEP * 0.6)), Math.ceil(whole * 14))
  return Array.from({ length: n + 1 }, (_, i): Point => {
    const t = (whole * i) / n
    const r = r0 * Math.exp(-b * t)
    const a = start + way * t
    return [centre[0] + r * Math.sin(a), centre[1] - r * Math.cos(a)]
  })
}

/** A quadratic Bezier curve in small steps. */
export function quadratic(a: Point, b: Point, c: Point): Point[] {
  const n = Math.max(6, Math.ceil((distance(a, b) + distance(b, c)) / SPINE_STEP))
  return Array.from({ length: n + 1 }, (_, i): Point => {
    const t = i / n
    const u = 1 - t
    return [u * u * a[0] + 2 * u * t * b[0] + t * t * c[0], u * u * a[1] + 2 * u * t * b[1] + t * t * c[1]]
  })
}
