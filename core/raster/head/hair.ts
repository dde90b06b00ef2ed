import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { monotoneCubic } from '../../skin/profile'
import { noise, smoothstep } from '../grid'
import type { Easel } from './easel'

/** Hair is laid out around this point, by the angle from straight up. */
const POLE = -8
const hairline = monotoneCubic([[0, 57], [18, 57.5], [36, 60], [52, 63.5], [64, 64.5], [76, 63.5], [86, 65.5], [94, 69], [104, 73], [112, 76]])
const crown = monotoneCubic([[0, 115], [15, 113.5], [30, 108.5], [45, 100.5], [60, 91.5], [75, 84], [86, 79], [95, 76.5], [104, 75], [112, 74]])

/** Smooth hair combed back from the hairline, over skin and paint. */
export function drawHair(easel: Easel, colour: string): void {
  const { grid, over } = easel, base = linearOf(colour), lit = mixLinear(base, [0.42, 0.33, 0.25], 0.3), px = 1 / grid.pxPerMm
  for (let j = 0; j < grid.height; j++) {
    const y = grid.y0 + (j + 0.5) * px - POLE
    for (let i = 0; i < grid.width; i++) {
      const x = grid.x0 + (i + 0.5) * px, angle = Math.atan2(Math.abs(x), -y) * 180 / Math.PI
      if (angle > 112) continue
      const r = Math.hypot(x, y), from = hairline(angle), to = crown(angle)
      const signed = x < 0 ? -angle : angle
      if (r < from - 6 || r > to + 3) continue
      // Single hairs reach past the hairline, so that it is not a cut edge.
      const strands = noise(signed * 1.7, r * 0.03, 3), fine = noise(signed * 5.2, r * 0.05, 5)
      const cover = smoothstep(from - 3.4 + 3.4 * strands, from + 2.2 + 3 * fine, r) * (1 - smoothstep(to - 0.6, to + 0.6, r)) * (1 - smoothstep(106, 112, angle))
      const shade = Math.min(1, Math.max(0, (r - from) / Math.max(8, to - from))), turn = x / 80
      // Light from up left makes a soft band across the strands.
      const band = Math.exp(-(((shade - 0.42 + 0.1 * turn) / 0.2) ** 2)) * (0.75 - 0.45 * turn)
      const dark = (0.62 + 0.38 * smoothstep(0, 0.25, shade)) * (1 - 0.55 * smoothstep(0.6, 1, shade)) * (0.72 + 0.36 * strands + 0.18 * fine) * (1 - 0.25 * Math.max(0, turn))
      const c: LinearRgb = mixLinear([base[0] * dark, base[1] * dark, base[2] * dark], lit, band * (0.25 + 0.55 * fine * strands * 2) * 0.6)
      const p = j * grid.width + i
      for (let k = 0; k < 3; k++) over[4 * p + k] = over[4 * p + k]! * (1 - cover) + c[k]! * cover
      over[4 * p + 3] = over[4 * p + 3]! * (1 - cover) + cover
    }
  }
}

/** How much the hair's edge shades the skin at (x, y): 1 = none. */
export function hairShade(x: number, y: number): number {
  const angle = Math.atan2(Math.abs(x), -(y - POLE)) * 180 / Math.PI
  if (angle > 112) return 1
  return 1 - 0.3 * smoothstep(-9, 1, Math.hypot(x, y - POLE) - hairline(angle)) * (1 - smoothstep(85, 112, angle))
}
