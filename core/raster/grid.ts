import type { Box } from '../geometry'

/**
 * A pixel grid over a part of the skin: pixel (i, j) covers the square of 1 / pxPerMm mm from (x0 + i /
 * pxPerMm, y0 + j / pxPerMm).
 */
export interface Grid {
  readonly x0: number
  readonly y0: number
  readonly pxPerMm: number
  readonly width: number
  readonly height: number
}

/**
 * The grid that covers a box of the skin (mm) at a given fineness (px/mm). Throws RangeError when that is not
 * above zero or too large to hold.
 */
export function gridOver(box: Readonly<Box>, pxPerMm: number): Grid {
  if (!(pxPerMm > 0) || pxPerMm > 40)
    throw new RangeError(`A picture needs between 0 and 40 px/mm, not ${pxPerMm}.`)
  return {
    x0: box.minX,
    y0: box.minY,
    pxPerMm,
    width: Math.round((box.maxX - box.minX) * pxPerMm),
    height: Math.round((box.maxY - box.minY) * pxPerMm),
  }
}

/** A cheap repeatable pseudo-random number in [0, 1) for a cell of a lattice (integer hash, no state). */
export function hash(i: number, j: number, seed = 0): number {
  let h = Math.imul(i | 0, 0x27d4eb2d) ^ Math.imul(j | 0, 0x165667b1) ^ Math.imul(seed | 0, 0x9e3779b1)
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296
}

/** Smooth value noise in [0, 1] with features about one unit wide. */
export function noise(x: number, y: number, seed = 0): number {
  const i = Math.floor(x)
  const j = Math.floor(y)
  const fx = x - i
  const fy = y - j
  const u = fx * fx * (3 - 2 * fx)
  const v = fy * fy * (3 - 2 * fy)
  const a = hash(i, j, seed)
  const b = hash(i + 1, j, seed)
  const c = hash(i, j + 1, seed)
  const d = hash(i + 1, j + 1, seed)
  return a + (b - a) * u + (c - a) * v + (a - b - c + d) * u * v
}

/** 0 below `a`, 1 above `b`, smooth between. */
export function smoothstep(a: number, b: number, x: number): number {
  const t = Math.min(1, Math.max(0, (x - a) / (b - a)))
  return t * t * (3 - 2 * t)
}
