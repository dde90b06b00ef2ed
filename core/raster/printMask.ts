import { clockwise } from '../geometry'
import type { Print } from '../look'
import { blurred, coverageOf, type Mask } from './coverage'
import { distanceFrom } from './distance'
import type { HeadPicture } from './head'
import { evened } from './evened'
import { spreadCover } from './spreadCover'

/**
 * What a print covers, 0 to 1 a pixel: openings grown by the edge spread, with an edge as soft as that spread.
 * A print that nothing masks is as soft as its tool leaves it.
 */
export function maskOf(print: Print, head: Pick<HeadPicture, 'grid' | 'chart'>): Mask {
  const { grid, chart } = head
  const rings = print.rings.map(chart.ring)
  const soft = print.softness * grid.pxPerMm
  // Where it lies, before the tool makes its edge soft.
  const crisp = print.spread
    ? spreadCover(rings, print.spread, grid)
    : coverageOf(rings, grid, Math.ceil(3 * soft) + 1)
  const inwards = print.axis?.kind === 'edge' ? depthIn(crisp, print.axis.depth, grid.pxPerMm) : null
  const whole = print.spread ? crisp : blurred(crisp, soft)
  if (!whole.data.length) return whole
  const kept = print.free?.length ? keptFree(whole, print.free, head) : whole
  const mask = print.only ? keptWithin(kept, print.only, head) : kept
  return inwards ? { ...mask, depth: inwards } : mask
}

/** A hand rounds the corners that exact distances have far inside, by this share of the depth. */
const ROUNDED = 0.12

/**
 * How far in from the edge of what a mask covers each pixel lies, mm.
 * @param reach the depth to which it matters, mm
 */
function depthIn({ width, height, data }: Mask, reach: number, pxPerMm: number): Float32Array {
  // A rim of one pixel stands for all that lies outside.
  const w = width + 2
  const outside = new Float32Array(w * (height + 2)).fill(1)
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) outside[(j + 1) * w + i + 1] = 1 - Math.min(1, data[j * width + i]!)
  const far = distanceFrom({ i0: 0, j0: 0, width: w, height: height + 2, data: outside })
  const depth = new Float32Array(width * height)
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) depth[j * width + i] = far[(j + 1) * w + i + 1]! / pxPerMm
  return evened(depth, width, height, Math.max(1, Math.round(ROUNDED * reach * pxPerMm)))
}

/** Takes out of a print's cover, in place, what lies outside the only place where it is laid. */
function keptWithin(
  mask: Mask,
  { rings, softness }: NonNullable<Print['only']>,
  { grid, chart }: Pick<HeadPicture, 'grid' | 'chart'>,
): Mask {
  const soft = softness * grid.pxPerMm
  const place = blurred(coverageOf(clockwise(rings).map(chart.ring), grid, Math.ceil(3 * soft) + 1), soft)
  for (let j = 0; j < mask.height; j++) {
    for (let i = 0; i < mask.width; i++) {
      const pi = i + mask.i0 - place.i0
      const pj = j + mask.j0 - place.j0
      const inside = pi >= 0 && pj >= 0 && pi < place.width && pj < place.height
      mask.data[j * mask.width + i]! *= inside ? place.data[pj * place.width + pi]! : 0
    }
  }
  return mask
}

/** Standard deviation of the edge of what is left free, mm (common practice). */
const FREE_EDGE = 0.5

/** Takes what a print leaves free out of its cover, in place. */
function keptFree(
  mask: Mask,
  free: readonly Print['rings'][number][],
  { grid, chart }: Pick<HeadPicture, 'grid' | 'chart'>,
): Mask {
  const hole = blurred(
    coverageOf(clockwise(free).map(chart.ring), grid, Math.ceil(3 * FREE_EDGE * grid.pxPerMm) + 1),
    FREE_EDGE * grid.pxPerMm,
  )
  for (let j = Math.max(mask.j0, hole.j0); j < Math.min(mask.j0 + mask.height, hole.j0 + hole.height); j++) {
    for (let i = Math.max(mask.i0, hole.i0); i < Math.min(mask.i0 + mask.width, hole.i0 + hole.width); i++) {
      mask.data[(j - mask.j0) * mask.width + i - mask.i0]! *=
        1 - hole.data[(j - hole.j0) * hole.width + i - hole.i0]!
    }
  }
  return mask
}
