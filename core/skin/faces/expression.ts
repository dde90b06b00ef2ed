import type { Point } from '../../geometry'
import type { Face } from './face'
import type { Landmarks } from './landmarks'

/** What a face can do while it wears a look. */
export const EXPRESSIONS = ['smile', 'brows up'] as const
export type Expression = (typeof EXPRESSIONS)[number]

/** Skin about a point that goes along by so much, less and less around it; and what swells there; all mm. */
interface Move {
  readonly at: Point
  readonly by: Point
  /** How far around it goes along, across and down. */
  readonly spread: Point
  /** How much higher the skin stands there. */
  readonly swells?: number
}

/** A face as it moves: where its skin goes, and how that changes what lies on it. */
export interface Moved {
  /** Where a point of the calm skin comes to lie, mm. */
  readonly to: (at: Point) => Point
  /** Which point of the calm skin lies there now, mm. */
  readonly from: (at: Point) => Point
  /** How much higher the skin stands at a point of the calm skin, mm. */
  readonly swell: (x: number, y: number) => number
  /** The least and the largest stretch of the skin at a point of the calm skin, 1 = as it was. */
  readonly stretch: (at: Point) => { least: number; most: number }
}

/** The moves of each expression (common practice, estimates). */
function movesOf(expression: Expression, { landmarks, form }: Face): Move[] {
  const { kx, ky } = form
  return [landmarks.left, landmarks.right].flatMap((side): Move[] => {
    const out = Math.sign(side.pupil[0])
    const move = (at: Point, [dx, dy]: Point, [sx, sy]: Point, swells?: number): Move => ({
      at,
      by: [out * dx * kx, dy * ky],
      spread: [sx * kx, sy * ky],
      ...(swells !== undefined && { swells: swells * kx }),
    })
    const beside = ([x, y]: Point, dx: number, dy: number): Point => [x + out * dx * kx, y + dy * ky]
    return expression === 'smile' ? smile(side, move, beside) : browsUp(side, move, beside)
  })
}

type Side = Landmarks['left']
type Made = (at: Point, by: Point, spread: Point, swells?: number) => Move
type Beside = (at: Point, dx: number, dy: number) => Point

const smile = (side: Side, move: Made, beside: Beside): Move[] => [
  move(side.mouthCorner, [4, -3.4], [13, 11]),
  move(beside(side.mouthCorner, 9, -24), [1, -3.2], [19, 13], 2.6),
  // The fold from the nose wing round the corner of the mouth.
  move(beside(side.mouthCorner, 3.5, -12), [0, 0], [3.4, 9], -1.3),
  move(beside(side.pupil, 0, 10), [0, -1.3], [13, 5]),
  move(side.noseWing, [1.1, -0.7], [8, 8]),
]
const browsUp = (side: Side, move: Made, beside: Beside): Move[] => [
  move(side.browPeak, [0, -5.6], [21, 15]),
  move(side.browStart, [0, -3.4], [11, 13]),
  move(beside(side.pupil, 0, -6), [0, -1], [14, 5]),
]

/** Wrinkles that a raised brow makes: how far apart, how high, and how far they reach to the sides, mm. */
const WRINKLE = { apart: 9.5, high: 0.42, wide: 38 } as const

/** The wrinkles of a forehead at (x, y), mm. */
function wrinkles({ landmarks, form }: Face): (x: number, y: number) => number {
  const [, line] = landmarks.mid.hairline
  const brow = (landmarks.left.browPeak[1] + landmarks.right.browPeak[1]) / 2
  const middle = (line + brow) / 2 + 2 * form.ky
  const tall = (brow - line) / 2.6
  return (x, y) => {
    const u = x / (WRINKLE.wide * form.kx)
    const v = (y - middle) / tall
    const wave = Math.sin((2 * Math.PI * (y + 0.0011 * x * x - middle)) / (WRINKLE.apart * form.ky))
    return WRINKLE.high * form.kx * wave * Math.exp(-(u ** 4) - v ** 4)
  }
}

/** How a face moves into an expression. */
export function movedBy(expression: Expression, face: Face): Moved {
  const moves = movesOf(expression, face)
  const folds = expression === 'brows up' ? wrinkles(face) : () => 0
  const near = ({ at, spread }: Move, x: number, y: number): number => {
    const u = (x - at[0]) / spread[0]
    const v = (y - at[1]) / spread[1]
    const q = u * u + v * v
    return q > 24 ? 0 : Math.exp(-q / 2)
  }
  const to = ([x, y]: Point): Point => {
    let dx = 0
    let dy = 0
    for (const m of moves) {
      const w = near(m, x, y)
      dx += w * m.by[0]
      dy += w * m.by[1]
    }
    return [x + dx, y + dy]
  }
  return {
    to,
    from([x, y]) {
      // The skin never folds over itself, so going back by what it went on by soon ends.
      let at: Point = [x, y]
      for (let n = 0; n < 24; n++) {
        const [u, v] = to(at)
        const miss = Math.hypot(x - u, y - v)
        at = [at[0] + x - u, at[1] + y - v]
        if (miss < 1e-4) break
      }
      return at
    },
    swell: (x, y) =>
      folds(x, y) + moves.reduce((sum, m) => sum + (m.swells ? m.swells * near(m, x, y) : 0), 0),
    stretch([x, y]) {
      const h = 0.5
      const [ax, ay] = to([x - h, y])
      const [bx, by] = to([x + h, y])
      const [cx, cy] = to([x, y - h])
      const [dx, dy] = to([x, y + h])
      // Singular values of the map's derivative.
      const [a, b, c, d] = [bx - ax, dx - cx, by - ay, dy - cy]
      const sum = Math.hypot(a + d, c - b)
      const difference = Math.hypot(a - d, b + c)
      return { least: (sum - difference) / 2, most: (sum + difference) / 2 }
    },
  }
}
