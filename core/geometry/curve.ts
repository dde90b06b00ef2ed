import { flattenCubic, FLATTEN_MM } from './flatten'
import type { Point } from './point'
import type { Ring } from './ring'

/** A node of an outline, mm; the outline leaves it toward `after` and comes to it from `before`. */
export interface CurveNode {
  readonly at: Point
  readonly before: Point
  readonly after: Point
}

/** A closed outline of cubic Bezier pieces: from each node to the next, and from the last to the first. */
export type Curve = readonly CurveNode[]

/** A node without handles: a corner between straight pieces. */
export const cornerNode = (at: Point): CurveNode => ({ at, before: at, after: at })

/** Whether a piece between two nodes is straight, so that one line draws it. */
const straight = (a: CurveNode, b: CurveNode): boolean => a.after === a.at && b.before === b.at

/** A curve as a ring, nowhere further from it than `tolerance` mm. */
export function flattened(curve: Curve, tolerance = FLATTEN_MM): Ring {
  const out: number[] = []
  curve.forEach((a, i) => {
    const b = curve[(i + 1) % curve.length]!
    if (straight(a, b)) out.push(b.at[0], b.at[1])
    else flattenCubic(out, ...a.at, ...a.after, ...b.before, ...b.at, tolerance)
  })
  return Float64Array.from(out)
}

/** A curve as path data of SVG; `f` writes a number. */
export function curveData(curve: Curve, f: (v: number) => string): string {
  const pair = (p: Point) => `${f(p[0])} ${f(p[1])}`
  const pieces = curve.map((a, i) => {
    const b = curve[(i + 1) % curve.length]!
    return straight(a, b) ? `L${pair(b.at)}` : `C${pair(a.after)} ${pair(b.before)} ${pair(b.at)}`
  })
  return `M${pair(curve[0]!.at)}${pieces.join('')}Z`
}

/** A curve with every point put through `map`. */
export const mapCurve = (curve: Curve, map: (p: Point) => Point): Curve =>
  curve.map(node => {
    const at = map(node.at)
    // A handle that lies on its node stays the very same point: that is how straight pieces are told.
    return {
      at,
      before: node.before === node.at ? at : map(node.before),
      after: node.after === node.at ? at : map(node.after),
    }
  })

/** Handle of a quarter of a circle, by its radius: within 0.03 % of the circle. */
const QUARTER = 0.5522847498

/** An ellipse about `at`, its first axis `turn` radians from +x. */
export function ellipseCurve(at: Point, rx: number, ry: number, turn = 0): Curve {
  const c = Math.cos(turn)
  const s = Math.sin(turn)
  const place = (x: number, y: number): Point => [at[0] + c * x - s * y, at[1] + s * x + c * y]
  return [0, 1, 2, 3].map(k => {
    const [u, v] = [Math.round(Math.cos((k * Math.PI) / 2)), Math.round(Math.sin((k * Math.PI) / 2))]
    const along = (sign: number): Point => place(rx * (u - sign * QUARTER * v), ry * (v + sign * QUARTER * u))
    return { at: place(rx * u, ry * v), before: along(-1), after: along(1) }
  })
}

/** The nodes of a ring as corners. */
export const cornersCurve = (points: readonly Point[]): Curve => points.map(cornerNode)
