import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { SAME } from '../../skin/chart'
import type { Form } from '../../skin/faces/face'
import { HAIR_END, hairCrown, hairline, hairPolar } from '../../skin/faces/hair'
import { noise, smoothstep } from '../grid'
import type { SkinLayers } from './skinLayers'

/** Height of the mean adult below which no hair grows, mm. */
const HAIR_LOW = 40

/** Smooth hair combed back from the hairline, over skin and paint. */
export function drawHair(easel: SkinLayers, form: Form, colour: string): void {
  const { grid, over, chart } = easel
  const rimmed = chart === SAME
  const base = linearOf(colour)
  const lit = mixLinear(base, [0.42, 0.33, 0.25], 0.3)
  const px = 1 / grid.pxPerMm
  const low = form.fromMean(HAIR_LOW)
  for (let j = 0; j < grid.height; j++) {
    if (rimmed && grid.y0 + j * px > low) break
    for (let i = 0; i < grid.width; i++) {
      const at = chart.back([grid.x0 + (i + 0.5) * px, grid.y0 + (j + 0.5) * px])
      if (!at) continue
      const [x, y] = at
      const { angle, r } = hairPolar(form, x, y)
      if (angle > HAIR_END) continue
      const from = hairline(angle)
      const to = hairCrown(angle)
      const signed = x < 0 ? -angle : angle
      if (r < from - 6 || (rimmed && r > to + 3)) continue
      // Single hairs reach past the hairline, so that it is not a cut edge.
      const strands = noise(signed * 1.7, r * 0.03, 3)
      const fine = noise(signed * 5.2, r * 0.05, 5)
      const cover =
        smoothstep(from - 3.4 + 3.4 * strands, from + 2.2 + 3 * fine, r) *
        (rimmed ? 1 - smoothstep(to - 0.6, to + 0.6, r) : 1) *
        (1 - smoothstep(106, 112, angle))
      const shade = Math.min(1, Math.max(0, (r - from) / Math.max(8, to - from)))
      const turn = x / 80
      // Light from up left makes a soft band across the strands.
      const band = Math.exp(-(((shade - 0.42 + 0.1 * turn) / 0.2) ** 2)) * (0.75 - 0.45 * turn)
      const dark =
        (0.62 + 0.38 * smoothstep(0, 0.25, shade)) *
        (1 - (rimmed ? 0.55 : 0.2) * smoothstep(0.6, 1, shade)) *
        (0.72 + 0.36 * strands + 0.18 * fine) *
        (1 - 0.25 * Math.max(0, turn))
      const c: LinearRgb = mixLinear(
        [base[0] * dark, base[1] * dark, base[2] * dark],
        lit,
        band * (0.25 + 0.55 * fine * strands * 2) * 0.6,
      )
      const p = j * grid.width + i
      for (let k = 0; k < 3; k++) over[4 * p + k] = over[4 * p + k]! * (1 - cover) + c[k]! * cover
      over[4 * p + 3] = over[4 * p + 3]! * (1 - cover) + cover
    }
  }
}

/** How much the hair's edge shades the skin at (x, y): 1 = none. */
export function hairShade(form: Form, x: number, y: number): number {
  const { angle, r } = hairPolar(form, x, y)
  if (angle > HAIR_END) return 1
  return 1 - 0.3 * smoothstep(-9, 1, r - hairline(angle)) * (1 - smoothstep(85, HAIR_END, angle))
}
