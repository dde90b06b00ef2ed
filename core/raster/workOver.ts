import type { Blend, Wipe } from '../look'
import type { Mask } from './coverage'
import type { Before } from './dragged'
import { evened } from './evened'
import type { HeadPicture } from './head'
import { boxOfMask, shared, type Painted, type PixelBox } from './painted'

/**
 * Does to the paint that lies there what a step does that lays none, in place.
 * @param before the skin as it was in a box around all that the step can change
 */
export function workOver(
  painted: Painted,
  works: Wipe | Blend,
  head: HeadPicture,
  mask: Mask,
  clip: PixelBox,
  before: Before | undefined,
): void {
  if (works.kind === 'wipe') wipe(painted, works.stays, head, mask, clip)
  else if (before) blend(painted, works.reach * head.grid.pxPerMm, head, mask, clip, before)
}

/** Takes paint off: what stays is its tint in the pores. */
function wipe(
  { paint, sheen, wet }: Painted,
  stays: number,
  { albedo, grid: { width } }: HeadPicture,
  mask: Mask,
  clip: PixelBox,
): void {
  const { i0, j0, i1, j1 } = shared(clip, boxOfMask(mask))
  for (let j = j0; j < j1; j++) {
    for (let i = i0; i < i1; i++) {
      const cover = mask.data[(j - mask.j0) * mask.width + i - mask.i0]!
      if (cover < 0.004) continue
      const p = j * width + i
      const left = 1 - cover * (1 - stays)
      for (let b = 3 * p; b < 3 * p + 3; b++) paint[b] = albedo[b]! + (paint[b]! - albedo[b]!) * left
      sheen[p]! *= left
      if (wet && cover > 0.5) wet.top[p] = 0
    }
  }
}

/** K/S of a reflectance, the Kubelka-Munk function (Kubelka 1948, J Opt Soc Am 38:448). */
const absorbs = (r: number): number => {
  const v = Math.min(0.985, Math.max(0.004, r))
  return ((1 - v) * (1 - v)) / (2 * v)
}
/** The reflectance of a thick layer of some K/S. */
const reflects = (ks: number): number => 1 + ks - Math.sqrt(ks * ks + 2 * ks)

/**
 * Runs colours into one another: paint is mixed, so that it is K/S that is evened out and not light. The weights
 * are a Gaussian, by three running means one after the other.
 * @param reach standard deviation, pixels
 */
function blend(
  { paint, sheen }: Painted,
  reach: number,
  { grid: { width: whole }, skin }: HeadPicture,
  mask: Mask,
  clip: PixelBox,
  { box, paint: before }: Before,
): void {
  const w = box.i1 - box.i0
  const h = box.j1 - box.j0
  const radius = Math.max(1, Math.round((Math.sqrt(4 * reach * reach + 1) - 1) / 2))
  const soft = new Float32Array(3 * w * h)
  // What is not skin gives nothing: hair and background stay out of the mixture.
  const weight = new Float32Array(w * h)
  for (let j = 0; j < h; j++)
    for (let i = 0; i < w; i++) weight[j * w + i] = skin[(j + box.j0) * whole + i + box.i0]!
  const plane = new Float32Array(w * h)
  for (let b = 0; b < 3; b++) {
    for (let p = 0; p < plane.length; p++) plane[p] = weight[p]! * absorbs(before[3 * p + b]!)
    const even = evened(plane, w, h, radius)
    for (let p = 0; p < plane.length; p++) soft[3 * p + b] = even[p]!
  }
  const sum = evened(weight, w, h, radius)
  const { i0, j0, i1, j1 } = shared(clip, boxOfMask(mask))
  for (let j = j0; j < j1; j++) {
    for (let i = i0; i < i1; i++) {
      const cover = mask.data[(j - mask.j0) * mask.width + i - mask.i0]!
      const n = (j - box.j0) * w + i - box.i0
      if (cover < 0.004 || sum[n]! < 1e-3) continue
      const p = j * whole + i
      const a = cover * skin[p]!
      for (let b = 0; b < 3; b++) {
        const was = before[3 * n + b]!
        paint[3 * p + b] = was + (reflects(soft[3 * n + b]! / sum[n]!) - was) * a
      }
      sheen[p]! *= 1 - 0.3 * a
    }
  }
}
