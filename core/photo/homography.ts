import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import { signedArea, type Point } from '../geometry'

/** A map of the plane that keeps straight lines straight, by rows; the last entry is 1. */
export type Homography = readonly number[]

/** Where a homography takes a point. */
export function taken(h: Homography, x: number, y: number): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w]
}

const normed = (h: readonly number[]): Homography => h.map(v => v / h[8]!)

/** `outer` after `inner`. */
const after = (outer: readonly number[], inner: readonly number[]): number[] =>
  Array.from({ length: 9 }, (_, k) => {
    const [row, column] = [3 * Math.floor(k / 3), k % 3]
    return (
      outer[row]! * inner[column]! +
      outer[row + 1]! * inner[column + 3]! +
      outer[row + 2]! * inner[column + 6]!
    )
  })

/** The reverse map. Throws RangeError when the map flattens the plane. */
export function inverted(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h as [
    number, number, number, number, number, number, number, number, number,
  ] // prettier-ignore
  const adjugate = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ]
  const det = a * adjugate[0]! + b * adjugate[3]! + c * adjugate[6]!
  if (!(Math.abs(det) > 1e-14)) throw new RangeError('The corners lie on one line.')
  return normed(adjugate)
}

/** Brings points to their middle, at a mean distance of the square root of 2 from it (Hartley 1997). */
function levelling(points: readonly Point[]): number[] {
  const n = points.length
  const cx = points.reduce((s, p) => s + p[0], 0) / n
  const cy = points.reduce((s, p) => s + p[1], 0) / n
  const mean = points.reduce((s, p) => s + Math.hypot(p[0] - cx, p[1] - cy), 0) / n
  if (!(mean > 0)) throw new RangeError('The corners all lie on one point.')
  const k = Math.SQRT2 / mean
  return [k, 0, -k * cx, 0, k, -k * cy, 0, 0, 1]
}

/**
 * The homography that takes `from` to `to`: by the direct linear transform on normalised coordinates, in the
 * sense of least squares where there are more than four (Hartley and Zisserman, Multiple View Geometry, 2004,
 * algorithm 4.2).
 * @throws RangeError when there are fewer than four points, or they lie on one line
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography {
  if (from.length < 4 || from.length !== to.length) throw new RangeError('Four points at least are needed.')
  const t = levelling(from)
  const u = levelling(to)
  // A row of noughts makes the matrix square for four points, so that all nine directions are found.
  const rows = Matrix.zeros(Math.max(9, 2 * from.length), 9)
  from.forEach((p, k) => {
    const [x, y] = taken(t, p[0], p[1])
    const [v, w] = taken(u, to[k]![0], to[k]![1])
    rows.setRow(2 * k, [-x, -y, -1, 0, 0, 0, v * x, v * y, v])
    rows.setRow(2 * k + 1, [0, 0, 0, -x, -y, -1, w * x, w * y, w])
  })
  const svd = new SingularValueDecomposition(rows)
  const [second, last] = svd.diagonal.slice(-2)
  if (!(second! > 1e-9 * svd.diagonal[0]!) || !Number.isFinite(last))
    throw new RangeError('The corners lie on one line.')
  const h = svd.rightSingularVectors.getColumn(8)
  return normed(after(inverted(u), after(h, t)))
}

/** Why four corners, in order round the sheet, cannot be those of a sheet; null when they can. */
export function cornerTrouble(corners: readonly Point[]): string | null {
  const area = Math.abs(signedArea(Float64Array.from(corners.flat())))
  const turns = corners.map((p, i) => {
    const q = corners[(i + 1) % 4]!
    const r = corners[(i + 2) % 4]!
    const turn = (q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0])
    return turn / Math.max(1e-9, Math.hypot(q[0] - p[0], q[1] - p[1]) * Math.hypot(r[0] - q[0], r[1] - q[1]))
  })
  const flat = turns.some(t => Math.abs(t) < 0.05)
  if (!flat && turns.some(t => Math.sign(t) !== Math.sign(turns[0]!)))
    return 'The corners cross one another. Drag the handles so that they follow one another round the sheet.'
  if (flat || area < 400)
    return 'The four corners lie on one line, or nearly. Put each handle on a corner of its own.'
  return null
}
