import { clockwise } from '../geometry'
import { kindOf, type Axis, type Print, type Step, type World } from '../look'
import type { Memo } from '../memo'
import { opacityOf, OPAQUE_FILM } from '../paint'
import { layFlakes, layGem } from './bits'
import { blurred, coverageOf, EMPTY_MASK, type Mask } from './coverage'
import { distanceFrom } from './distance'
import { hash, noise, smoothstep, type Grid } from './grid'
import type { HeadPicture } from './head'
import { inkOver, inksOf, stepOf } from './inks'

/** How far along an axis a place lies, 0 to 1. */
export function along(axis: Axis, x: number, y: number): number {
  if (axis.kind === 'out') return Math.min(1, Math.hypot(x - axis.from[0], y - axis.from[1]) / axis.reach)
  const dx = axis.to[0] - axis.from[0]
  const dy = axis.to[1] - axis.from[1]
  const length2 = dx * dx + dy * dy
  return length2 === 0
    ? 0
    : Math.min(1, Math.max(0, ((x - axis.from[0]) * dx + (y - axis.from[1]) * dy) / length2))
}

/** The grain that sponges leave, one value in [0, 1] a pixel: the same at the same place of the skin at every size. */
export function spongeGrain(grid: Grid): Float32Array {
  const out = new Float32Array(grid.width * grid.height)
  const step = 1 / grid.pxPerMm
  for (let j = 0; j < grid.height; j++) {
    const y = grid.y0 + (j + 0.5) * step
    for (let i = 0; i < grid.width; i++) {
      const x = grid.x0 + (i + 0.5) * step
      out[j * grid.width + i] = 0.5 * noise(x * 0.55, y * 0.55, 11) + 0.5 * noise(x * 1.9, y * 1.9, 12)
    }
  }
  return out
}

/** Painted skin: reflectance, three linear values a pixel, and the sheen of pearl and metal on it, one value a pixel. */
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
const boxOfMask = (m: Mask): PixelBox => ({ i0: m.i0, j0: m.j0, i1: m.i0 + m.width, j1: m.j0 + m.height })

/** Spreads of a print are drawn in steps of this, mm. */
const SPREAD_STEP = 0.15

/**
 * What a print covers, 0 to 1 a pixel: its openings grown by the edge spread with an edge as soft as that spread, by a distance transform.
 * A print that does not spread is as soft as its tool leaves it.
 */
export function coverOf(print: Print, head: Pick<HeadPicture, 'grid' | 'chart'>): Mask {
  const whole = grownCover(print, head)
  return print.free?.length && whole.data.length ? keptFree(whole, print.free, head) : whole
}

function grownCover(print: Print, head: Pick<HeadPicture, 'grid' | 'chart'>): Mask {
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

/** Where a cover is thinner than full, the film is too: a bleed runs out thin. */
const THIN_EDGE = 0.4

/** Lays one film on painted skin, in place, under what its cover says; see coverOf. */
export function layPrint(
  { paint, sheen }: Painted,
  print: Print,
  head: HeadPicture,
  grain: Float32Array,
  mask = coverOf(print, head),
  memo?: Memo,
): void {
  if (print.particles)
    return print.particles.kind === 'gem'
      ? layGem({ paint, sheen }, print.particles, head, mask)
      : layFlakes({ paint, sheen }, print.particles, head, mask)
  const { grid, chart } = head
  const swatches = print.film / OPAQUE_FILM
  const most = Math.max(0.02, swatches * 1.25)
  const inks = inksOf(print, most, memo)
  const single = inks.list.length === 1 ? inks.list[0]! : null
  for (let j = 0; j < mask.height; j++) {
    const row = (mask.j0 + j) * grid.width + mask.i0
    const y = grid.y0 + (mask.j0 + j + 0.5) / grid.pxPerMm
    for (let i = 0; i < mask.width; i++) {
      const cover = mask.data[j * mask.width + i]!
      if (cover < 0.004) continue
      const p = row + i
      const a = cover * head.skin[p]!
      if (a < 0.002) continue
      let ink = single
      if (!ink) {
        const at = chart.back([grid.x0 + (mask.i0 + i + 0.5) / grid.pxPerMm, y])
        ink =
          inks.list[
            at && print.axis ? inks.at(along(print.axis, at[0], at[1]), hash(mask.i0 + i, mask.j0 + j, 5)) : 0
          ]!
      }
      // Grain is thickness: a sponge leaves pores where little paint lies, and more dabs close them.
      const x =
        swatches * (1 + 0.25 * print.grain - print.grain * grain[p]!) * (1 - THIN_EDGE + THIN_EDGE * cover)
      const n = stepOf(x, most)
      const { table, glow } = ink
      for (let b = 0; b < 3; b++) {
        const under = paint[3 * p + b]!
        let over = inkOver(table, n, b, Math.min(0.99, under))
        if (glow > 0) over += glow * over * opacityOf(3 * x)
        paint[3 * p + b] = under + (over - under) * a
      }
      sheen[p]! += (ink.sheen * opacityOf(3 * x) - sheen[p]! * opacityOf(3 * x)) * a
    }
  }
}

/**
 * Prints steps onto a head in their order.
 * @param onStep called after each step with the paint so far (a live view: copy what is to be kept)
 */
export function printSteps(
  head: HeadPicture,
  steps: readonly Step[],
  world: World,
  grain: Float32Array,
  onStep?: (step: Step, painted: Painted) => void,
): Painted {
  const painted: Painted = { paint: head.albedo.slice(), sheen: new Float32Array(head.light.length) }
  for (const step of steps) {
    for (const print of kindOf(step).prints(step, world))
      layPrint(painted, print, head, grain, undefined, world.memo)
    onStep?.(step, painted)
  }
  return painted
}
