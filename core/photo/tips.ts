import { Matrix, solve } from 'ml-matrix'
import type { Point } from '../geometry'

/** A wedge with a rounded tip, as seen from inside it. Lengths in pixels, angles in radians. */
export interface Tip {
  /** Where its two straight sides would meet. */
  readonly at: Point
  /** Which way it opens. */
  readonly way: number
  /** Half the angle between its sides. */
  readonly half: number
  /** Radius that rounds it. */
  readonly radius: number
}

/** How much of a place is inside an outline, 0 to 1, in pixels. */
export type Inside = (x: number, y: number) => number

/** Past its sides and its tip a wedge is looked at so far, in sigma: further off others begin. */
const PAST = 1.4
/** Half angles of wedges that can be told, radians. */
const NARROWEST = 0.09
const WIDEST = 1.45
/** Scatter of what is seen about the wedge that is taken for it; more is something else. */
const MOST_OFF = 0.042

/** How far into a wedge it is looked at, in sigma: narrow ones begin to be seen later. */
export const lookedInto = (half: number): number => 0.7 / Math.tan(Math.max(0.2, half)) + 1.9

/** Probability that a normal variable is below `x`: Abramowitz and Stegun 1964, 26.2.17, to 1e-7. */
function normalBelow(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x))
  const series =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const above = 0.3989422804 * Math.exp((-x * x) / 2) * series
  return x > 0 ? 1 - above : above
}

/** Half the width of a wedge with a tip of `radius` at `s` from where its sides would meet. */
function halfWidth(s: number, half: number, radius: number): number {
  const middle = radius / Math.sin(half)
  if (s >= middle - radius * Math.sin(half)) return s * Math.tan(half)
  const off = s - middle
  return off <= -radius ? 0 : Math.sqrt(radius * radius - off * off)
}

const NODES = 17
const SPREAD = 2.6
/** Gaussian weights of slices across the axis, by sigma. */
const SLICES = (() => {
  const at = Array.from({ length: NODES }, (_, k) => SPREAD * ((2 * (k + 0.5)) / NODES - 1))
  const weights = at.map(z => Math.exp((-z * z) / 2))
  const sum = weights.reduce((a, b) => a + b, 0)
  return at.map((z, k) => ({ z, weight: weights[k]! / sum }))
})()

/** A wedge blurred by a Gaussian of one sigma, at `s` along its axis and `v` beside it; lengths in sigma. */
function blurredAt(s: number, v: number, half: number, radius: number): number {
  let sum = 0
  for (const { z, weight } of SLICES) {
    const wide = halfWidth(s + z, half, radius)
    if (wide > 0) sum += weight * (normalBelow(v + wide) - normalBelow(v - wide))
  }
  return sum
}

/** Where a wedge is looked at: places and what is seen there. */
interface Samples {
  readonly places: readonly Point[]
  readonly seen: readonly number[]
}

function samplesAt(inside: Inside, { at, way, half }: Tip, sigma: number): Samples {
  const places: Point[] = []
  const [x, y] = [Math.cos(way), Math.sin(way)]
  const back = lookedInto(half)
  for (let s = -PAST; s <= back; s += 0.6) {
    const wide = Math.max(0, s) * Math.tan(half) + PAST
    const across = Math.ceil(wide / 0.6)
    for (let k = -across; k <= across; k++) {
      const v = (k * wide) / across
      places.push([at[0] + sigma * (s * x - v * y), at[1] + sigma * (s * y + v * x)])
    }
  }
  return { places, seen: places.map(([px, py]) => inside(px, py)) }
}

/** What a wedge blurred by `sigma` would look like less what is seen. */
function misses({ places, seen }: Samples, { at, way, half, radius }: Tip, sigma: number): number[] {
  const [x, y] = [Math.cos(way), Math.sin(way)]
  return places.map(([px, py], k) => {
    const [dx, dy] = [(px - at[0]) / sigma, (py - at[1]) / sigma]
    return blurredAt(dx * x + dy * y, dy * x - dx * y, half, radius / sigma) - seen[k]!
  })
}

const meanSquare = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v * v, 0) / values.length

const clamped = (v: number, least: number, most: number): number => Math.min(most, Math.max(least, v))

const moved = (tip: Tip, [dx, dy, dWay, dHalf, dRadius]: readonly number[], sigma: number): Tip => ({
  at: [tip.at[0] + dx!, tip.at[1] + dy!],
  way: tip.way + dWay!,
  half: clamped(tip.half + dHalf!, NARROWEST, WIDEST),
  radius: clamped(tip.radius + dRadius!, 0, 3 * sigma),
})

/**
 * The tip whose blurred picture is most like what is seen, by least squares (Levenberg 1944, Marquardt 1963):
 * a sharp tip that blur took back is told from one that is round, and sides that blur drew together are put
 * where they are.
 * @param inside what is seen, in a picture blurred by a Gaussian of `sigma` pixels
 * @returns null when no wedge looks like what is seen
 */
export function fittedTip(inside: Inside, start: Tip, sigma: number): Tip | null {
  const samples = samplesAt(inside, start, sigma)
  const steps = [0.1, 0.1, 0.02, 0.02, 0.15]
  let tip = start
  let off = misses(samples, tip, sigma)
  let damping = 0.03
  for (let turn = 0; turn < 9; turn++) {
    const slopes = steps.map((step, k) => {
      const change = steps.map((_, j) => (j === k ? step : 0))
      return misses(samples, moved(tip, change, sigma), sigma).map((v, i) => (v - off[i]!) / step)
    })
    const product = (a: readonly number[], b: readonly number[]) =>
      a.reduce((sum, v, i) => sum + v * b[i]!, 0)
    const normal = slopes.map((a, i) =>
      slopes.map((b, j) => product(a, b) * (i === j ? 1 + damping : 1) + (i === j ? 1e-6 : 0)),
    )
    const change = solve(
      new Matrix(normal),
      Matrix.columnVector(slopes.map(a => -product(a, off))),
    ).to1DArray()
    const next = moved(tip, change, sigma)
    const nextOff = misses(samples, next, sigma)
    if (meanSquare(nextOff) < meanSquare(off)) {
      const gained = meanSquare(off) - meanSquare(nextOff)
      tip = next
      off = nextOff
      damping /= 4
      if (gained < 1e-6) break
    } else damping *= 6
    if (damping > 50) break
  }
  const away = Math.hypot(tip.at[0] - start.at[0], tip.at[1] - start.at[1])
  return Math.sqrt(meanSquare(off)) < MOST_OFF && away < 2.5 * sigma + 1 ? tip : null
}
