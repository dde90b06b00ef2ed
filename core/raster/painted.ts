import type { Mask } from './coverage'

/**
 * Painted skin: reflectance, three linear values a pixel, and the sheen of pearl and metal on it, one value a
 * pixel.
 */
export interface Painted {
  readonly paint: Float32Array
  readonly sheen: Float32Array
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
