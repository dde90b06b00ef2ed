import { circlePieces, FLATTEN_MM } from '../../geometry'

/** What a DXF entity draws: flat points in drawing units, +y up, and whether it closes by itself. */
export interface Trace {
  points: number[]
  closed: boolean
}

/** Pieces of one curve at most: far more than any sheet has, so that the work is bounded by what is drawn. */
const MOST_PIECES = 20_000

/** Pieces for a part of a circle or ellipse; one that is no number is refused before any work. */
function piecesFor(r: number, sweep: number, tolerance: number, least: number): number {
  if (!Number.isFinite(r) || !Number.isFinite(sweep))
    throw new RangeError('The DXF holds an arc without a size. Draw it anew, and try again.')
  const wanted = Math.ceil((circlePieces(r, tolerance) * Math.abs(sweep)) / (2 * Math.PI))
  return Math.min(MOST_PIECES, Math.max(least, wanted))
}

/** An arc from one angle to another, anticlockwise (radians), as flat points with both ends. */
export function arcPoints(
  cx: number,
  cy: number,
  r: number,
  from: number,
  to: number,
  tolerance = FLATTEN_MM,
): number[] {
  const sweep = turnOf(from, to)
  const n = piecesFor(r, sweep, tolerance, 2)
  const out: number[] = []
  for (let i = 0; i <= n; i++)
    out.push(cx + r * Math.cos(from + (sweep * i) / n), cy + r * Math.sin(from + (sweep * i) / n))
  return out
}

/** How far it is round from one angle to another, anticlockwise: over 0, to a whole turn, radians. */
function turnOf(from: number, to: number): number {
  const turn = (to - from) % (2 * Math.PI)
  return turn > 1e-9 ? turn : turn + 2 * Math.PI
}

/**
 * The arc of a polyline's bulge (tangent of a quarter of its angle, positive = anticlockwise) without its
 * start point.
 */
export function bulgePoints(
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  bulge: number,
  tolerance = FLATTEN_MM,
): number[] {
  const chord = Math.hypot(x1 - x0, y1 - y0)
  if (Math.abs(bulge) < 1e-9 || chord === 0) return [x1, y1]
  const angle = 4 * Math.atan(bulge)
  const r = chord / (2 * Math.sin(Math.abs(angle) / 2))
  const middle = Math.atan2(y1 - y0, x1 - x0)
  // The centre lies left of the chord for a positive bulge under half a turn.
  const away = r * Math.cos(angle / 2) * Math.sign(bulge)
  const cx = (x0 + x1) / 2 - Math.sin(middle) * away
  const cy = (y0 + y1) / 2 + Math.cos(middle) * away
  const from = Math.atan2(y0 - cy, x0 - cx)
  const n = piecesFor(r, angle, tolerance, 2)
  const out: number[] = []
  for (let i = 1; i < n; i++)
    out.push(cx + r * Math.cos(from + (angle * i) / n), cy + r * Math.sin(from + (angle * i) / n))
  return [...out, x1, y1]
}

/**
 * An ellipse or a part of one: centre, end of the major axis from it, ratio of the axes, parameters in
 * radians.
 */
export function ellipseArc(
  cx: number,
  cy: number,
  mx: number,
  my: number,
  ratio: number,
  from: number,
  to: number,
  tolerance = FLATTEN_MM,
): Trace {
  const sweep = turnOf(from, to)
  const full = sweep > 2 * Math.PI - 1e-6
  const n = piecesFor(Math.hypot(mx, my), sweep, tolerance, 8)
  const points: number[] = []
  for (let i = 0; i < (full ? n : n + 1); i++) {
    const t = from + (sweep * i) / n
    const c = Math.cos(t)
    const s = Math.sin(t)
    points.push(cx + mx * c - my * ratio * s, cy + my * c + mx * ratio * s)
  }
  return { points, closed: full }
}

/**
 * A B-spline by de Boor's algorithm (de Boor, A Practical Guide to Splines), sampled evenly in every knot
 * span.
 * @param degree of the curve
 * @param knots non-decreasing, as many as control points + degree + 1
 * @param control flat control points
 * @param weights one a control point; null for a curve that is not rational
 */
export function splinePoints(
  degree: number,
  knots: readonly number[],
  control: readonly number[],
  weights: readonly number[] | null,
  perSpan = 24,
): number[] {
  const n = control.length / 2
  const out: number[] = []
  if (knots.some((k, i) => !Number.isFinite(k) || (i > 0 && k < knots[i - 1]!)))
    throw new RangeError('The DXF holds a spline whose knots fall. Draw it anew, and try again.')
  if (knots.length !== n + degree + 1)
    throw new RangeError(`A spline has ${knots.length} knots where ${n + degree + 1} belong.`)
  const at = (u: number, span: number): [number, number] => {
    const d = Array.from({ length: degree + 1 }, (_, j) => {
      const i = span - degree + j
      const w = weights?.[i] ?? 1
      return [control[2 * i]! * w, control[2 * i + 1]! * w, w] as [number, number, number]
    })
    for (let r = 1; r <= degree; r++) {
      for (let j = degree; j >= r; j--) {
        const i = span - degree + j
        const width = knots[i + degree - r + 1]! - knots[i]!
        const a = width === 0 ? 0 : (u - knots[i]!) / width
        for (let k = 0; k < 3; k++) d[j]![k] = (1 - a) * d[j - 1]![k]! + a * d[j]![k]!
      }
    }
    const [x, y, w] = d[degree]!
    return [x / w, y / w]
  }
  for (let span = degree; span < n; span++) {
    const u0 = knots[span]!
    const u1 = knots[span + 1]!
    if (u1 <= u0) continue
    for (let i = 0; i < perSpan; i++) out.push(...at(u0 + ((u1 - u0) * i) / perSpan, span))
    if (span === n - 1) out.push(...at(u1, span))
  }
  if (!out.length) throw new RangeError('The DXF holds a spline without length: its knots are all the same.')
  return out
}

/**
 * The curve through the fit points of a spline: cubic, with continuous curvature, its parameter by the lengths of
 * the chords and its ends free to turn; closed, it goes smoothly round (de Boor, A Practical Guide to Splines,
 * chapter 4).
 * @param fit flat points
 */
export function throughFitPoints(fit: readonly number[], closed: boolean, perSpan = 24): number[] {
  const points = closed ? [...fit, fit[0]!, fit[1]!] : [...fit]
  const n = points.length / 2
  if (n < 3) return points
  const chords = Array.from({ length: n - 1 }, (_, i) =>
    Math.max(1e-12, Math.hypot(points[2 * i + 2]! - points[2 * i]!, points[2 * i + 3]! - points[2 * i + 1]!)),
  )
  const second = [0, 1].map(k => curvatures(points, chords, k, closed))
  const out: number[] = []
  for (let i = 0; i + 1 < n; i++) {
    const h = chords[i]!
    for (let s = 0; s < perSpan; s++) {
      const b = s / perSpan
      const a = 1 - b
      for (let k = 0; k < 2; k++)
        out.push(
          a * points[2 * i + k]! +
            b * points[2 * i + 2 + k]! +
            ((a ** 3 - a) * second[k]![i]! + (b ** 3 - b) * second[k]![i + 1]!) * ((h * h) / 6),
        )
    }
  }
  return [...out, points.at(-2)!, points.at(-1)!]
}

/** Second derivatives of a cubic spline at its points, one coordinate; found by relaxing, which converges fast. */
function curvatures(points: readonly number[], h: readonly number[], k: number, closed: boolean): number[] {
  const n = h.length + 1
  const y = (i: number) => points[2 * i + k]!
  const m = new Array<number>(n).fill(0)
  const relax = (
    i: number,
    before: number,
    after: number,
    hb: number,
    ha: number,
    yb: number,
    ya: number,
  ) => {
    const right = 6 * ((ya - y(i)) / ha - (y(i) - yb) / hb)
    m[i] = (right - hb * before - ha * after) / (2 * (hb + ha))
  }
  // Each row of the system is dominated two to one by its diagonal, so that the error halves at every round.
  for (let round = 0; round < 60; round++) {
    for (let i = 1; i < n - 1; i++) relax(i, m[i - 1]!, m[i + 1]!, h[i - 1]!, h[i]!, y(i - 1), y(i + 1))
    if (!closed) continue
    relax(0, m[n - 2]!, m[1]!, h[n - 2]!, h[0]!, y(n - 2), y(1))
    m[n - 1] = m[0]!
  }
  return m
}
