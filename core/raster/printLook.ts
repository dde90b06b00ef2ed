import { kindOf, type Axis, type Print, type Step, type World } from '../look'
import type { Memo } from '../memo'
import { opacityOf, OPAQUE_FILM } from '../paint'
import { hash } from './grid'
import type { HeadPicture } from './head'
import { inkOver, inksOf, stepOf } from './inks'
import type { Painted } from './painted'
import { layFlakes, layGem } from './particles'
import { maskOf } from './printMask'

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

/** Where a cover is thinner than full, the film is too: a bleed runs out thin. */
const THIN_EDGE = 0.4

/** Lays one film on painted skin, in place, under what its cover says; see maskOf. */
export function layPrint(
  { paint, sheen }: Painted,
  print: Print,
  head: HeadPicture,
  grain: Float32Array,
  mask = maskOf(print, head),
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
