import { labDifference, labOf, type LinearRgb } from '../paint'
import type { HeadPicture } from './head'
import type { Painted } from './painted'

/** How paint is shared between the left and the right of the picture. */
export interface Balance {
  readonly area: readonly [left: number, right: number]
  readonly weight: readonly [left: number, right: number]
  /** Colour weight above and below the middle of the canvas. */
  readonly upright: readonly [above: number, below: number]
  readonly words: string
}

/**
 * From here on a pixel counts as painted, CIEDE2000; shares farther from half than this are told as lopsided
 * (common practice).
 */
const SEEN = 3
const LOPSIDED = 0.06

/**
 * Painted area (mm2 of the picture) and colour weight (area times how far the colour is from the bare skin's)
 * left and right of the midline.
 * The same above and below a height.
 * @param every how many pixels apart it is looked at
 * @param split the height that parts above from below, mm down from the bridge of the nose
 */
export function balanceOf(head: HeadPicture, { paint }: Painted, every = 2, split = 30): Balance {
  const { grid, albedo, skin } = head
  const area: [number, number] = [0, 0]
  const weight: [number, number] = [0, 0]
  const upright: [number, number] = [0, 0]
  const each = (every / grid.pxPerMm) ** 2
  const colour = (from: Float32Array, p: number): LinearRgb => [
    Math.min(1, from[3 * p]!),
    Math.min(1, from[3 * p + 1]!),
    Math.min(1, from[3 * p + 2]!),
  ]
  for (let j = 0; j < grid.height; j += every)
    for (let i = 0; i < grid.width; i += every) {
      const p = j * grid.width + i
      if (
        skin[p]! < 0.5 ||
        Math.abs(paint[3 * p]! - albedo[3 * p]!) +
          Math.abs(paint[3 * p + 1]! - albedo[3 * p + 1]!) +
          Math.abs(paint[3 * p + 2]! - albedo[3 * p + 2]!) <
          0.01
      )
        continue
      const d = labDifference(labOf(colour(albedo, p)), labOf(colour(paint, p)))
      if (d < SEEN) continue
      const at = head.chart.back([grid.x0 + (i + 0.5) / grid.pxPerMm, grid.y0 + (j + 0.5) / grid.pxPerMm])
      const side = (at?.[0] ?? 0) < 0 ? 0 : 1
      area[side] += each
      weight[side] += each * d
      upright[(at?.[1] ?? 0) < split ? 0 : 1] += each * d
    }
  return { area, weight, upright, words: wordsOf(weight) }
}

/** Which side weighs more, in words. */
function wordsOf([left, right]: readonly [number, number]): string {
  if (left + right === 0) return 'nothing is painted yet'
  const share = left / (left + right)
  return Math.abs(share - 0.5) < LOPSIDED
    ? 'balanced'
    : `heavier on their ${share > 0.5 ? 'right' : 'left'}: fine when it is meant`
}
