import type { Mask } from './coverage'
import type { HeadPicture } from './head'
import type { RowSpans } from './rowSpans'
import { WetFilms } from './wetFilms'

/**
 * Painted skin: reflectance, three linear values a pixel, and the sheen of pearl and metal on it, one value a
 * pixel.
 */
export interface Painted {
  readonly paint: Float32Array
  readonly sheen: Float32Array
  /** What lies on top and may still be wet; left out where every film is dry before the next. */
  readonly wet?: WetFilms | null
}

/** A box of pixels; empty when i1 <= i0. */
export interface PixelBox {
  readonly i0: number
  readonly j0: number
  readonly i1: number
  readonly j1: number
}
export const NO_PIXELS: PixelBox = { i0: 0, j0: 0, i1: 0, j1: 0 }
export const joined = (a: PixelBox, b: PixelBox): PixelBox =>
  a.i1 <= a.i0
    ? b
    : b.i1 <= b.i0
      ? a
      : {
          i0: Math.min(a.i0, b.i0),
          j0: Math.min(a.j0, b.j0),
          i1: Math.max(a.i1, b.i1),
          j1: Math.max(a.j1, b.j1),
        }
/** The pixels that a mask covers. */
export const boxOfMask = (m: Mask): PixelBox => ({
  i0: m.i0,
  j0: m.j0,
  i1: m.i0 + m.width,
  j1: m.j0 + m.height,
})

/** The pixels that two boxes share. */
export const shared = (a: PixelBox, b: PixelBox): PixelBox => ({
  i0: Math.max(a.i0, b.i0),
  j0: Math.max(a.j0, b.j0),
  i1: Math.min(a.i1, b.i1),
  j1: Math.min(a.j1, b.j1),
})
export const isEmpty = ({ i0, j0, i1, j1 }: PixelBox): boolean => i1 <= i0 || j1 <= j0

/** Bare skin to be painted on, with what lies on top of it where films may meet wet. */
export const blankPaint = ({ albedo, light }: HeadPicture, wet: boolean): Painted => ({
  paint: albedo.slice(),
  sheen: new Float32Array(light.length),
  wet: wet ? new WetFilms(light.length) : null,
})

/**
 * Copies some pixels from a whole picture into the store of a box of it, or back.
 * @param values numbers a pixel
 * @param spans the pixels of the box that are in question; all of them when left out
 */
export function copyRows<A extends Float32Array | Int32Array>(
  store: A,
  box: PixelBox,
  whole: A,
  width: number,
  values: number,
  { i0, j0, i1, j1 }: PixelBox,
  into: boolean,
  spans?: RowSpans,
): void {
  const wide = box.i1 - box.i0
  for (let j = j0; j < j1; j++) {
    const from = spans ? Math.max(i0, box.i0 + spans.first[j - box.j0]!) : i0
    const to = spans ? Math.min(i1, box.i0 + spans.end[j - box.j0]!) : i1
    if (from >= to) continue
    const at = values * (j * width + from)
    const n = values * ((j - box.j0) * wide + from - box.i0)
    const length = values * (to - from)
    if (into) store.set(whole.subarray(at, at + length), n)
    else whole.set(store.subarray(n, n + length), at)
  }
}
