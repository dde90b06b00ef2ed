import { kindOf, type Axis, type Print, type Step, type World } from '../look'
import { mixLinear, type LinearRgb } from '../paint'
import { blurred, coverageOf } from './coverage'
import { noise, type Grid } from './grid'
import type { HeadPicture } from './head'

/** The colour at (x, y) of a film whose colours follow one another along an axis. */
export function colourAlong(colours: readonly LinearRgb[], axis: Axis | null, x: number, y: number): LinearRgb {
  if (!axis || colours.length === 1) return colours[0]!
  const t = along(axis, x, y) * (colours.length - 1), i = Math.min(colours.length - 2, Math.floor(t)), u = t - i
  return mixLinear(colours[i]!, colours[i + 1]!, u * u * (3 - 2 * u))
}

function along(axis: Axis, x: number, y: number): number {
  if (axis.kind === 'out') return Math.min(1, Math.hypot(x - axis.from[0], y - axis.from[1]) / axis.reach)
  const dx = axis.to[0] - axis.from[0], dy = axis.to[1] - axis.from[1], length2 = dx * dx + dy * dy
  return length2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - axis.from[0]) * dx + (y - axis.from[1]) * dy) / length2))
}

/** The grain that sponges leave, one value in [0, 1] a pixel: the same at the same place of the skin at every size. */
export function spongeGrain(grid: Grid): Float32Array {
  const out = new Float32Array(grid.width * grid.height), step = 1 / grid.pxPerMm
  for (let j = 0; j < grid.height; j++) {
    const y = grid.y0 + (j + 0.5) * step
    for (let i = 0; i < grid.width; i++) {
      const x = grid.x0 + (i + 0.5) * step
      out[j * grid.width + i] = 0.5 * noise(x * 0.55, y * 0.55, 11) + 0.5 * noise(x * 1.9, y * 1.9, 12)
    }
  }
  return out
}

/** Lays one film on painted skin, in place. `paint` holds three linear values a pixel of the head's grid. */
export function layPrint(paint: Float32Array, print: Print, head: HeadPicture, grain: Float32Array): void {
  const { grid } = head, sigma = print.softness * grid.pxPerMm
  const mask = blurred(coverageOf(print.rings, grid, Math.ceil(3 * sigma) + 1), sigma), single = print.axis ? null : print.colours[0]!
  for (let j = 0; j < mask.height; j++) {
    const row = (mask.j0 + j) * grid.width + mask.i0, y = grid.y0 + (mask.j0 + j + 0.5) / grid.pxPerMm
    for (let i = 0; i < mask.width; i++) {
      const cover = mask.data[j * mask.width + i]!
      if (cover < 0.004) continue
      const p = row + i, a = cover * head.skin[p]! * print.opacity * (1 - print.grain * (1 - print.opacity * 0.6) * grain[p]!)
      if (a < 0.002) continue
      const c = single ?? colourAlong(print.colours, print.axis, grid.x0 + (mask.i0 + i + 0.5) / grid.pxPerMm, y)
      for (let k = 0; k < 3; k++) paint[3 * p + k]! += (c[k]! - paint[3 * p + k]!) * a
    }
  }
}

/**
 * Prints steps onto a head in their order.
 * @param onStep called after each step with the paint so far (a live view: copy what is to be kept)
 * @returns reflectance of the painted skin, three linear values a pixel
 */
export function printSteps(head: HeadPicture, steps: readonly Step[], world: World, grain: Float32Array, onStep?: (step: Step, paint: Float32Array) => void): Float32Array {
  const paint = head.albedo.slice()
  for (const step of steps) {
    for (const print of kindOf(step).prints(step, world)) layPrint(paint, print, head, grain)
    onStep?.(step, paint)
  }
  return paint
}
