import type { Point } from './point'
import { degrees, radians } from './units'

/** A turn (degrees clockwise with y down) followed by a shift (mm). */
export interface Rigid {
  readonly turn: number
  readonly shift: Point
}

/** A point put through a rigid map. */
export function movedBy({ turn, shift }: Rigid, [x, y]: Point): Point {
  const c = Math.cos(radians(turn))
  const s = Math.sin(radians(turn))
  return [c * x - s * y + shift[0], s * x + c * y + shift[1]]
}

/** The point that a rigid map brings to `p`. */
export function movedBack({ turn, shift }: Rigid, [x, y]: Point): Point {
  const c = Math.cos(radians(turn))
  const s = Math.sin(radians(turn))
  const dx = x - shift[0]
  const dy = y - shift[1]
  return [c * dx + s * dy, c * dy - s * dx]
}

/**
 * The turn and shift that bring some points nearest to others, pair by pair, by least squares (Kabsch 1976,
 * Acta Cryst A32:922, in the plane).
 * @returns the map, with the root mean square distance that is left, mm; throws RangeError without pairs
 */
export function rigidFit(
  pairs: readonly (readonly [from: Point, to: Point])[],
): Rigid & { readonly residual: number } {
  const n = pairs.length
  if (n === 0) throw new RangeError('A fit needs at least one pair of points.')
  let fx = 0,
    fy = 0,
    tx = 0,
    ty = 0
  for (const [f, t] of pairs) {
    fx += f[0] / n
    fy += f[1] / n
    tx += t[0] / n
    ty += t[1] / n
  }
  let dot = 0,
    cross = 0
  for (const [f, t] of pairs) {
    const ax = f[0] - fx
    const ay = f[1] - fy
    const bx = t[0] - tx
    const by = t[1] - ty
    dot += ax * bx + ay * by
    cross += ax * by - ay * bx
  }
  const turn = n > 1 ? degrees(Math.atan2(cross, dot)) : 0
  const c = Math.cos(radians(turn))
  const s = Math.sin(radians(turn))
  const map: Rigid = { turn, shift: [tx - c * fx + s * fy, ty - s * fx - c * fy] }
  const squares = pairs.reduce((sum, [f, t]) => {
    const p = movedBy(map, f)
    return sum + (p[0] - t[0]) ** 2 + (p[1] - t[1]) ** 2
  }, 0)
  return { ...map, residual: Math.sqrt(squares / n) }
}
