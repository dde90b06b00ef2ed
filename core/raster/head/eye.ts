import { mix, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { hash, smoothstep } from '../grid'
import { closedCurve, oval, strokeRing, tapered, type SideOf, type SkinLayers } from './skinLayers'

/** An eye's form: its corners, and what everything about it is measured by. */
interface EyeForm {
  readonly inner: Point
  readonly outer: Point
  readonly pupil: Point
  /** The way outward: -1 or 1. */
  readonly out: number
  /**
   * Everything scales with the eye's width, but a child's eye stands open wider and its iris is nearly a
   * grown one's.
   */
  readonly k: number
  readonly ir: number
  /**
   * A point a share of the way from the inner corner to the outer one, and some mm of a grown eye below that
   * line.
   */
  readonly lift: (t: number, h: number) => Point
}

function formOf({ innerEye: inner, outerEye: outer, pupil }: SideOf, young: number): EyeForm {
  const k = Math.abs(outer[0] - inner[0]) / 28.5
  const tall = k * (1 + 0.4 * young)
  const at = (t: number): Point => mix(inner, outer, t)
  const lift = (t: number, h: number): Point => [at(t)[0], at(t)[1] + h * tall]
  return { inner, outer, pupil, out: Math.sign(pupil[0]), k, ir: 0.42 + 0.58 * k, lift }
}

/** An eye: lids, lashes and, when open, what lies between them. */
export function drawEye(
  easel: SkinLayers,
  side: SideOf,
  skin: LinearRgb,
  rose: LinearRgb,
  eyes: 'open' | 'closed',
  young: number,
): void {
  const form = formOf(side, young)
  const lash = mixLinear(linearOf('#1a1210'), skin, 0.03)
  const deep: LinearRgb = [skin[0] * 0.5, skin[1] * 0.36, skin[2] * 0.32]
  drawShade(easel, form, deep, rose, young)
  if (eyes === 'closed') return drawShut(easel, form, lash)
  const { inner, outer, lift } = form
  const upper: Point[] = [inner, lift(0.16, -2.9), lift(0.38, -4.8), lift(0.6, -5.1), lift(0.84, -3.2), outer]
  const lower: Point[] = [inner, lift(0.2, 1.9), lift(0.45, 3.7), lift(0.7, 3.7), lift(0.88, 2), outer]
  drawBall(easel, form, upper, lower, rose)
  drawLids(easel, form, upper, lower, lash, deep)
}

/** The fold above the lid, and the soft shade beneath the eye. */
function drawShade(
  easel: SkinLayers,
  { k, lift }: EyeForm,
  deep: LinearRgb,
  rose: LinearRgb,
  young: number,
): void {
  easel.tint(
    easel.shape(
      strokeRing([lift(0.02, -4.2), lift(0.3, -9.2), lift(0.62, -9.8), lift(0.98, -5.2)], tapered(1.5 * k)),
      0.7 * k,
    ),
    deep,
    0.5,
  )
  easel.tint(
    easel.shape(strokeRing([lift(0.06, 6.4), lift(0.4, 9.4), lift(0.8, 8)], tapered(3 * k)), 1.6 * k),
    deep,
    0.16 * (1 - 0.5 * young),
  )
  easel.tint(easel.shape(oval(lift(0.5, -3.5), 15 * k, 6 * k), 3.5 * k), rose, 0.16)
}

/** Lids that are shut: their seam, and the lashes that lie down over the cheek. */
function drawShut(easel: SkinLayers, { inner, outer, out, k, lift }: EyeForm, lash: LinearRgb): void {
  const seam: Point[] = [
    inner,
    lift(0.2, 2.2),
    lift(0.45, 3.9),
    lift(0.72, 3.6),
    [outer[0] + 1.2 * out * k, outer[1] + 0.6 * k],
  ]
  easel.cover(
    easel.shape(
      strokeRing(seam, t => (0.5 + 1.1 * Math.sin(Math.PI * (0.15 + 0.8 * t))) * k),
      0.2 * k,
    ),
    lash,
    0.9,
  )
  for (let i = 0; i < 22; i++) {
    const t = 0.12 + (0.86 * i) / 21
    const from = lift(t, 3.9 * Math.sin(Math.PI * Math.min(1, 0.06 + 0.9 * t)) ** 0.8)
    const length = (2.6 + 2.2 * t) * k
    const dx = out * (t - 0.32) * 1.5
    easel.cover(
      easel.shape(
        strokeRing(
          [
            from,
            [from[0] + dx * length * 0.45, from[1] + length * 0.6],
            [from[0] + dx * length, from[1] + length * 0.82],
          ],
          s => 0.45 * k * (1 - 0.8 * s),
        ),
        0.1,
      ),
      lash,
      0.75,
    )
  }
}

/** The ball between the lids: white, iris and pupil, with the lamp in it. */
function drawBall(
  easel: SkinLayers,
  { inner, pupil: [px, py], out, k, ir }: EyeForm,
  upper: readonly Point[],
  lower: readonly Point[],
  rose: LinearRgb,
): void {
  const eye = closedCurve([...upper, ...lower.slice(1, -1).reverse()])
  const iris: Point = [px, py - 0.5 * k]
  easel.cover(easel.shape(eye, 0.25), (x, y) => {
    const d = Math.hypot(x - iris[0], y - iris[1]) / ir
    const shade = 0.4 + 0.6 * smoothstep(-5 * k, k, y - py)
    const round = 1 - 0.32 * smoothstep(6, 15, Math.abs(x - px) / k)
    const white: LinearRgb = [0.64 * shade * round, 0.6 * shade * round, 0.57 * shade * round]
    if (d > 6.6) return white
    const spoke = hash(Math.floor(Math.atan2(y - iris[1], x - iris[0]) * 14), 7)
    const body = mixLinear(
      linearOf('#4f3520'),
      linearOf('#80603a'),
      0.5 * spoke + 0.5 * smoothstep(-3, 5, y - iris[1]),
    )
    const rim = mixLinear(body, linearOf('#20140d'), smoothstep(4.2, 6, d))
    const pupil = mixLinear(linearOf('#050404'), rim, smoothstep(2.1, 2.7, d))
    const lit: LinearRgb = [
      pupil[0] * (0.5 + 0.5 * shade),
      pupil[1] * (0.5 + 0.5 * shade),
      pupil[2] * (0.5 + 0.5 * shade),
    ]
    return mixLinear(lit, white, smoothstep(5.8, 6.4, d))
  })
  easel.cover(
    easel.shape(oval([iris[0] - 1.9 * ir, iris[1] - 2 * ir], 0.95 * ir, 1.1 * ir), 0.2),
    [0.95, 0.95, 0.95],
    0.92,
  )
  easel.cover(
    easel.shape(oval([iris[0] + 1.8 * ir, iris[1] + 2.2 * ir], 0.6 * ir, 0.5 * ir), 0.3),
    [0.8, 0.8, 0.8],
    0.35,
  )
  easel.cover(
    easel.shape(oval([inner[0] + 0.9 * out * k, inner[1] - 0.2 * k], 1.3 * k, k), 0.4 * k),
    [rose[0] * 0.8, rose[1] * 0.75, rose[2] * 0.75],
    0.75,
  )
}

/** The rims of both lids, and the upper lashes. */
function drawLids(
  easel: SkinLayers,
  { out, k, lift }: EyeForm,
  upper: readonly Point[],
  lower: readonly Point[],
  lash: LinearRgb,
  deep: LinearRgb,
): void {
  easel.cover(
    easel.shape(
      strokeRing(upper, t => (0.5 + 1.15 * smoothstep(0, 0.6, t) - 0.25 * smoothstep(0.85, 1, t)) * k),
      0.22 * k,
    ),
    lash,
    0.95,
  )
  easel.cover(easel.shape(strokeRing(lower, tapered(0.55 * k, 0.15 * k)), 0.3 * k), deep, 0.75)
  for (let i = 0; i < 20; i++) {
    const t = 0.1 + (0.9 * i) / 19
    const h = -5.3 * Math.sin(Math.PI * Math.min(1, 0.08 + 0.86 * t)) ** 0.8
    const from = lift(t, t > 0.97 ? 0 : h * 0.96)
    const length = (1.6 + 2.4 * t) * k
    const dx = out * (t - 0.3) * 1.25
    easel.cover(
      easel.shape(
        strokeRing(
          [
            from,
            [from[0] + dx * length * 0.55, from[1] - length * 0.35],
            [from[0] + dx * length, from[1] - length * 0.95],
          ],
          s => 0.4 * k * (1 - 0.8 * s),
        ),
        0.1,
      ),
      lash,
      0.6,
    )
  }
}
