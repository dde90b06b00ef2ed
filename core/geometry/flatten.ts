/** How far a flattened curve may lie off the true one, mm. */
export const FLATTEN_MM = 0.02

/**
 * Appends a cubic Bezier to a flat list, without its start point.
 * Even steps in t, as many as keep the chord error under `tolerance`: n = sqrt(sqrt(dd) / (8 tol) * 6 ...),
 * the bound of Wang for a cubic (Farin, Curves and Surfaces for CAGD), error <= (1/8) max|second derivative|
 * / n^2.
 */
export function flattenCubic(
  out: number[],
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  x3: number,
  y3: number,
  tolerance = FLATTEN_MM,
): void {
  const d1 = Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2)
  const d2 = Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3)
  const n = Math.max(1, Math.min(2000, Math.ceil(Math.sqrt((6 * Math.max(d1, d2)) / (8 * tolerance)))))
  for (let i = 1; i <= n; i++) {
    if (i === n) {
      out.push(x3, y3)
      break
    }
    const t = i / n
    const u = 1 - t
    const a = u * u * u
    const b = 3 * u * u * t
    const c = 3 * u * t * t
    const d = t * t * t
    out.push(a * x0 + b * x1 + c * x2 + d * x3, a * y0 + b * y1 + c * y2 + d * y3)
  }
}

/** Straight pieces that a full turn of radius `r` needs to stay within `tolerance` of the circle. */
export function circlePieces(r: number, tolerance = FLATTEN_MM): number {
  if (!(r > tolerance)) return 8
  return Math.max(8, Math.min(4000, Math.ceil(Math.PI / Math.acos(1 - tolerance / r))))
}

/** An ellipse as flat points, clockwise as seen with y down. */
export function ellipsePoints(
  cx: number,
  cy: number,
  rx: number,
  ry: number,
  tolerance = FLATTEN_MM,
): number[] {
  const n = circlePieces(Math.max(rx, ry), tolerance)
  const out: number[] = []
  for (let i = 0; i < n; i++) {
    const t = (2 * Math.PI * i) / n
    out.push(cx + rx * Math.cos(t), cy + ry * Math.sin(t))
  }
  return out
}

/**
 * A smooth closed outline through handles that may lie at any distance from one another: at each it runs as
 * the way from the one before to the one after, and never swings out further than a third of the span, so
 * that no loop comes of uneven spacing.
 * @param steps pieces a span
 */
export function outlineThrough(points: readonly (readonly [number, number])[], steps = 8): number[] {
  const n = points.length
  const out: number[] = []
  const along = (i: number): readonly [number, number] => {
    const a = points[(i - 1 + n) % n]!
    const b = points[(i + 1) % n]!
    const l = Math.hypot(b[0] - a[0], b[1] - a[1])
    return l < 1e-9 ? [0, 0] : [(b[0] - a[0]) / l, (b[1] - a[1]) / l]
  }
  for (let i = 0; i < n; i++) {
    const a = points[i]!
    const b = points[(i + 1) % n]!
    const third = Math.hypot(b[0] - a[0], b[1] - a[1]) / 3
    const u = along(i)
    const v = along((i + 1) % n)
    for (let k = 0; k < steps; k++) {
      const t = k / steps
      const s = 1 - t
      const w0 = s * s * s + 3 * s * s * t
      const w1 = 3 * s * t * t + t * t * t
      const p = 3 * s * s * t * third
      const q = -3 * s * t * t * third
      out.push(w0 * a[0] + w1 * b[0] + p * u[0] + q * v[0], w0 * a[1] + w1 * b[1] + p * u[1] + q * v[1])
    }
  }
  return out
}

/**
 * Appends a smooth closed or open Catmull-Rom curve through points, as flat points with `steps` pieces a
 * span.
 * Centripetal knots are not needed for the evenly spaced outlines drawn here.
 */
export function smoothThrough(
  points: readonly (readonly [number, number])[],
  closed: boolean,
  steps = 8,
): number[] {
  const n = points.length
  const out: number[] = []
  const at = (i: number) => (closed ? points[(i + n) % n]! : points[Math.max(0, Math.min(n - 1, i))]!)
  const spans = closed ? n : n - 1
  for (let i = 0; i < spans; i++) {
    const p0 = at(i - 1)
    const p1 = at(i)
    const p2 = at(i + 1)
    const p3 = at(i + 2)
    for (let k = 0; k < steps; k++) {
      const t = k / steps
      const t2 = t * t
      const t3 = t2 * t
      const a = -t3 + 2 * t2 - t
      const b = 3 * t3 - 5 * t2 + 2
      const c = -3 * t3 + 4 * t2 + t
      const d = t3 - t2
      out.push(
        (a * p0[0] + b * p1[0] + c * p2[0] + d * p3[0]) / 2,
        (a * p0[1] + b * p1[1] + c * p2[1] + d * p3[1]) / 2,
      )
    }
  }
  if (!closed) out.push(points[n - 1]![0], points[n - 1]![1])
  return out
}
