import type { Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import type { Ground } from '../../skin/grounds'
import { monotoneCubic } from '../../skin/profile'
import { noise, smoothstep } from '../grid'
import { closedCurve, strokeRing, tapered, type SkinLayers } from './skinLayers'
import { lay, lightOn } from './lamp'

const CLOTH = '#8d8791'

/** An arm's form as it is drawn: its ends, and its half width at any height, past the ends too; mm. */
interface ArmForm {
  readonly y0: number
  readonly y1: number
  readonly w0: number
  readonly w1: number
  readonly length: number
  /** How far it goes on past its ends. */
  readonly ahead: number
  readonly fore: boolean
  /** The side of the thumb: -1 or 1. */
  readonly thumb: number
  readonly half: (y: number) => number
}

/**
 * Half widths past the ends: elbow and upper arm above a forearm, the hand below it; shoulder above an upper
 * arm, forearm below.
 */
function formOf({ surface, length, canvas }: NonNullable<Ground['arm']>): ArmForm {
  const y0 = -length / 2
  const y1 = length / 2
  const w0 = surface.halfWidth(y0)
  const w1 = surface.halfWidth(y1)
  const fore = canvas.part === 'forearm'
  const growth = (w1 - w0) / length
  const ahead = 0.24 * length
  const above = fore
    ? monotoneCubic([
        [y0 - ahead * 1.2, w0 * 1.1],
        [y0 - ahead * 0.5, w0 * 1.04],
        [y0 - 4, w0 - 4 * growth],
        [y0, w0],
      ])
    : monotoneCubic([
        [y0 - ahead * 1.2, w0 * 1.34],
        [y0 - ahead * 0.5, w0 * 1.12],
        [y0, w0],
      ])
  const below = fore
    ? monotoneCubic([
        [y1, w1],
        [y1 + 8, w1 * 0.99],
        [y1 + ahead * 0.45, w1 * 1.28],
        [y1 + ahead * 0.8, w1 * 1.55],
        [y1 + ahead * 1.3, w1 * 1.6],
      ])
    : monotoneCubic([
        [y1, w1],
        [y1 + ahead * 0.4, w1 * 1.02],
        [y1 + ahead * 1.3, w1 * 0.93],
      ])
  const half = (y: number) => (y < y0 ? above(y) : y > y1 ? below(y) : surface.halfWidth(y))
  return { y0, y1, w0, w1, length, ahead, fore, thumb: canvas.side === 'left' ? -1 : 1, half }
}

/** An arm hanging down: what is painted is the exact cone, and what goes on past its ends is only drawn. */
export function drawArm(easel: SkinLayers, arm: NonNullable<Ground['arm']>, skin: LinearRgb): void {
  const plain = easel.onPicture()
  const form = formOf(arm)
  const { y0, y1, w1, ahead, fore, half } = form
  const right: Point[] = []
  for (let y = y0 - ahead * 1.2; y <= y1 + ahead * 1.3; y += 1.5) right.push([half(y), y])
  if (fore) drawThumb(plain, w1, y1, ahead, form.thumb, skin)
  const outline = Float64Array.from([...right, ...right.map(([x, y]): Point => [-x, y]).reverse()].flat())
  drawFlesh(easel, plain, outline, form, skin)
  drawCreases(plain, form, [skin[0] * 0.45, skin[1] * 0.3, skin[2] * 0.27])
  sleeve(plain, y0 - ahead * (fore ? 0.75 : 0.28), half, skin)
}

/** The skin of the arm under the lamp; a muscle's swell and the tendons at the wrist, as light only. */
function drawFlesh(
  easel: SkinLayers,
  plain: SkinLayers,
  outline: Float64Array,
  { y0, y1, length, fore, thumb, half }: ArmForm,
  skin: LinearRgb,
): void {
  plain.each(plain.shape(outline), (p, cover, x, y) => {
    const w = half(y)
    const t = Math.max(-1, Math.min(1, x / w))
    const nz = Math.sqrt(1 - 0.985 * t * t)
    const nx = t
    const l = Math.hypot(nx, nz, 0.05)
    const { light, gloss } = lightOn(easel.lamp, nx / l, 0.05 / l, nz / l)
    const swell =
      0.07 *
      Math.exp(
        -(((x / w + 0.25 * thumb) / 0.35) ** 2) -
          ((y - (fore ? y0 + 0.25 * length : 0)) / (0.3 * length)) ** 2,
      )
    const tendon = fore ? 0.05 * smoothstep(y1 - 40, y1 + 10, y) * Math.sin((x / w) * 9) * (1 - t * t) : 0
    const mottle = 1 + 0.04 * (noise(x * 0.18, y * 0.18, 1) - 0.5) + 0.03 * (noise(x * 1.4, y * 1.4, 2) - 0.5)
    lay(
      easel,
      p,
      cover,
      [skin[0] * mottle, skin[1] * mottle * 0.995, skin[2] * mottle],
      light *
        (1 + swell + tendon) *
        (1 - 0.1 * t ** 8) *
        (1 - 0.2 * smoothstep(-0.1, 1, t)) *
        (1 + 0.06 * Math.exp(-(((t + 0.35) / 0.3) ** 2))),
    )
    easel.gloss[p]! += cover * gloss * 0.8
    easel.skin[p] = Math.max(
      easel.skin[p]!,
      cover * smoothstep(y0 - 0.5, y0 + 0.5, y) * (1 - smoothstep(y1 - 0.5, y1 + 0.5, y)),
    )
  })
}

/** The folds at wrist and elbow, and the knuckles. */
function drawCreases(plain: SkinLayers, { y0, y1, w0, w1, ahead, fore }: ArmForm, deep: LinearRgb): void {
  const crease = (y: number, w: number, dip: number) => {
    const line: Point[] = [
      [-w * 0.82, y - dip],
      [0, y],
      [w * 0.82, y - dip],
    ]
    plain.stain(plain.shape(strokeRing(line, tapered(1.1)), 0.8), deep, 0.4)
  }
  if (!fore) {
    crease(y1 + 5, w1, 4)
    crease(y1 + 9, w1, 4.5)
    return
  }
  crease(y1 + 3, w1, -1.5)
  crease(y1 + 6.5, w1, -2)
  crease(y0 - 5, w0, 4)
  for (let i = -1.5; i <= 1.5; i++) {
    const knuckle = closedCurve([
      [i * w1 * 0.62 - 4, y1 + ahead * 0.86],
      [i * w1 * 0.62, y1 + ahead * 0.8],
      [i * w1 * 0.62 + 4, y1 + ahead * 0.86],
      [i * w1 * 0.62, y1 + ahead * 0.92],
    ])
    plain.stain(plain.shape(knuckle, 2.4), deep, 0.22)
  }
}

function drawThumb(
  plain: SkinLayers,
  w: number,
  y1: number,
  ahead: number,
  out: number,
  skin: LinearRgb,
): void {
  const shape = closedCurve(
    (
      [
        [0.7, 0.1],
        [1.35, 0.3],
        [1.9, 0.62],
        [2.15, 1.05],
        [2, 1.4],
        [1.6, 1.4],
        [1.2, 0.9],
      ] as const
    ).map(([x, y]): Point => [x * w * out, y1 + y * ahead]),
  )
  plain.each(plain.shape(shape, 0.3), (p, cover, x) =>
    lay(plain, p, cover, skin, 0.86 - 0.14 * Math.sign(out) * 0.5 - 0.1 * (Math.abs(x) / w - 1)),
  )
}

/** A rolled sleeve over the upper end. */
function sleeve(plain: SkinLayers, y: number, half: (y: number) => number, skin: LinearRgb): void {
  const w = half(y) * 1.1 + 2
  const cloth = linearOf(CLOTH)
  const ring = closedCurve([
    [-w, y - 4],
    [-w * 0.6, y + 3],
    [0, y + 5],
    [w * 0.6, y + 3],
    [w, y - 4],
    [w * 1.05, y - 40],
    [w * 1.05, y - 120],
    [-w * 1.05, y - 120],
    [-w * 1.05, y - 40],
  ])
  plain.stain(
    plain.shape(
      Float64Array.from(ring, (v, i) => (i % 2 ? v + 5 : v)),
      3,
    ),
    mixLinear(skin, [0, 0, 0], 0.55),
    0.35,
  )
  plain.each(plain.shape(ring, 0.2), (p, cover, px, py) => {
    const t = px / w
    lay(
      plain,
      p,
      cover,
      cloth,
      0.95 - 0.35 * t * t - 0.1 * t + 0.07 * Math.sin(py * 0.22 + 2 * noise(px * 0.05, py * 0.05, 9)),
    )
    plain.skin[p] = plain.skin[p]! * (1 - cover)
  })
}
