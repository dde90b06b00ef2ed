import { clockwise } from '../geometry'
import type { Print } from '../look'
import { blurred, coverageOf, EMPTY_MASK, type Mask } from './coverage'
import { distanceFrom } from './distance'
import { smoothstep } from './grid'
import type { HeadPicture } from './head'
import { boxOfMask, joined } from './painted'

/** Spreads of a print are drawn in steps of this, mm. */
const SPREAD_STEP = 0.15

/**
 * What a print covers, 0 to 1 a pixel: its openings grown by the edge spread with an edge as soft as that
 * spread, by a distance transform.
 * A print that does not spread is as soft as its tool leaves it.
 */
export function maskOf(print: Print, head: Pick<HeadPicture, 'grid' | 'chart'>): Mask {
  const whole = grownMask(print, head)
  return print.free?.length && whole.data.length ? keptFree(whole, print.free, head) : whole
}

function grownMask(print: Print, head: Pick<HeadPicture, 'grid' | 'chart'>): Mask {
  const { grid, chart } = head
  const k = grid.pxPerMm
  const classes = new Map<number, Print['rings'][number][]>()
  print.rings.forEach((ring, i) => {
    const e = Math.round((print.spread?.[i] ?? 0) / SPREAD_STEP) * SPREAD_STEP
    const list = classes.get(e)
    if (list) list.push(chart.ring(ring))
    else classes.set(e, [chart.ring(ring)])
  })
  const masks = [...classes]
    .map(([e, rings]) => {
      if (e * k < 0.3)
        return blurred(coverageOf(rings, grid, Math.ceil(3 * print.softness * k) + 1), print.softness * k)
      const mask = coverageOf(rings, grid, Math.ceil(1.6 * e * k) + 2)
      const soft = Math.max(0.5, (e * k) / 2)
      const far = distanceFrom(mask, e * k + soft)
      const from = e * k - soft
      const to = e * k + soft
      const full = 1 - smoothstep(from, to, 0)
      for (let p = 0; p < far.length; p++) {
        const d = far[p]!
        far[p] = d >= to ? 0 : d > 0 ? 1 - smoothstep(from, to, d) : Math.max(mask.data[p]!, full)
      }
      return { ...mask, data: far }
    })
    .filter(m => m.data.length)
  if (masks.length < 2) return masks[0] ?? EMPTY_MASK
  const box = masks.map(boxOfMask).reduce(joined)
  const width = box.i1 - box.i0
  const data = new Float32Array(width * (box.j1 - box.j0))
  for (const m of masks) {
    for (let j = 0; j < m.height; j++) {
      const to = (m.j0 + j - box.j0) * width + m.i0 - box.i0
      for (let i = 0; i < m.width; i++) {
        const v = m.data[j * m.width + i]!
        if (v > data[to + i]!) data[to + i] = v
      }
    }
  }
  return { i0: box.i0, j0: box.j0, width, height: box.j1 - box.j0, data }
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
