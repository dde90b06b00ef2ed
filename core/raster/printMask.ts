import { clockwise } from '../geometry'
import type { Print } from '../look'
import { blurred, coverageOf, type Mask } from './coverage'
import type { HeadPicture } from './head'
import { spreadCover } from './spreadCover'

/**
 * What a print covers, 0 to 1 a pixel: openings grown by the edge spread, with an edge as soft as that spread.
 * A print that nothing masks is as soft as its tool leaves it.
 */
export function maskOf(print: Print, head: Pick<HeadPicture, 'grid' | 'chart'>): Mask {
  const { grid, chart } = head
  const rings = print.rings.map(chart.ring)
  const soft = print.softness * grid.pxPerMm
  const whole = print.spread
    ? spreadCover(rings, print.spread, grid)
    : blurred(coverageOf(rings, grid, Math.ceil(3 * soft) + 1), soft)
  return print.free?.length && whole.data.length ? keptFree(whole, print.free, head) : whole
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
