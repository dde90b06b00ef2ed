import { mix, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import type { Form } from '../../skin/faces/face'
import { hash, smoothstep } from '../grid'
import { irisAt, type Iris } from './iris'
import { closedCurve, oval, strokeRing, tapered, type SideOf, type SkinLayers } from './skinLayers'

/** An eye's form: its corners, and what everything about it is measured by. */
interface EyeForm {
  readonly inner: Point
  readonly outer: Point
  readonly pupil: Point
  /** The way outward: -1 or 1. */
  readonly out: number
  /** Everything scales with the eye's width, but a child's iris is nearly a grown one's. */
  readonly k: number
  readonly ir: number
  /** How much of the crease and the inner corner the upper lid hides, 0 to 1. */
  readonly fold: number
  readonly young: number
  readonly old: number
  /**
   * A point a share of the way from the inner corner to the outer one, and some mm below that line of an eye that
   * stands open as usual.
   */
  readonly lift: (t: number, h: number) => Point
}

/** What an eye is drawn with. */
interface EyeLook {
  readonly skin: LinearRgb
  readonly rose: LinearRgb
  readonly eyes: 'open' | 'closed'
  readonly iris: Iris
  readonly form: Form
}

/** Opening of the eye that the lids' points are given for, mm. */
const OPEN_MM = 8.9

function formOf({ innerEye: inner, outerEye: outer, pupil }: SideOf, { traits, grown, old }: Form): EyeForm {
  const k = Math.abs(outer[0] - inner[0]) / 28.5
  const tall = traits.eyeOpening / OPEN_MM
  const at = (t: number): Point => mix(inner, outer, t)
  const lift = (t: number, h: number): Point => [at(t)[0], at(t)[1] + h * tall]
  const fold = traits.lidFold / 100
  // The corners of small children's eyes and the distance of their pupils come from tables that do not quite
  // agree: their irises are drawn between the two, lest they squint.
  const toMiddle = 0.7 * ((inner[0] + outer[0]) / 2 - pupil[0])
  return {
    inner,
    outer,
    pupil: [pupil[0] + toMiddle * (1 - grown), pupil[1]],
    out: Math.sign(pupil[0]),
    k,
    ir: 0.42 + 0.58 * k,
    fold,
    young: 1 - grown,
    old,
    lift,
  }
}

/** An eye: lids, lashes and, when open, what lies between them. */
export function drawEye(
  easel: SkinLayers,
  side: SideOf,
  { skin, rose, eyes, iris, form: whole }: EyeLook,
): void {
  const form = formOf(side, whole)
  const lash = mixLinear(linearOf('#1a1210'), skin, 0.03)
  const deep: LinearRgb = [skin[0] * 0.5, skin[1] * 0.36, skin[2] * 0.32]
  drawShade(easel, form, deep, rose)
  if (eyes === 'closed') return drawShut(easel, form, lash)
  const { inner, outer, lift, fold } = form
  // A fold at the inner corner draws the upper lid down over it.
  const drawn = 1.7 * fold
  const upper: Point[] = [
    [inner[0], inner[1] + 0.6 * drawn],
    lift(0.16, -3.1 + drawn),
    lift(0.38, -5 + 0.4 * drawn),
    lift(0.6, -5.3),
    lift(0.84, -3.5),
    outer,
  ]
  const lower: Point[] = [inner, lift(0.2, 1.8), lift(0.45, 3.6), lift(0.7, 3.6), lift(0.88, 2), outer]
  drawBall(easel, form, upper, lower, { rose, iris })
  drawLids(easel, form, upper, lower, { lash, deep, rose })
}

/** The fold above the lid, and the soft shade beneath the eye. */
function drawShade(easel: SkinLayers, form: EyeForm, deep: LinearRgb, rose: LinearRgb): void {
  const { k, lift, fold, young, old } = form
  const near = 3 * fold
  const crease = strokeRing(
    [
      lift(0.02, -3.6 + 0.4 * near),
      lift(0.3, -8.6 + near),
      lift(0.62, -9.2 + near),
      lift(1, -4.6 + 0.5 * near),
    ],
    tapered(1.35 * k),
  )
  easel.stain(easel.shape(oval(lift(0.5, -6.5), 13 * k, 2.6 * k), 1.7 * k), deep, 0.13 * (1 - fold))
  easel.stain(easel.shape(crease, 0.55 * k), deep, 0.55 * (1 - 0.8 * fold))
  easel.stain(
    easel.shape(strokeRing([lift(0.06, 6.2), lift(0.4, 9), lift(0.8, 7.6)], tapered(2.8 * k)), 1.5 * k),
    deep,
    0.15 * (1 - 0.5 * young) + 0.13 * old,
  )
  easel.stain(easel.shape(oval(lift(0.5, -3.5), 15 * k, 6 * k), 3.5 * k), rose, 0.16)
  if (old > 0) drawCrowsFeet(easel, form, deep)
}

/** Lines that run out from the corner of an old eye. */
function drawCrowsFeet(easel: SkinLayers, { outer: [x, y], out, k, old }: EyeForm, deep: LinearRgb): void {
  for (const [up, long] of [
    [-0.42, 8],
    [-0.08, 10],
    [0.3, 9],
    [0.62, 7],
  ] as const) {
    const at = (r: number, bend: number): Point => [
      x + out * r * k * Math.cos(up),
      y + r * k * Math.sin(up) + bend * k,
    ]
    easel.stain(
      easel.shape(
        strokeRing([at(4, 0), at(4 + long / 2, 0.7), at(4 + long, 1.6)], tapered(0.8 * k)),
        0.45 * k,
      ),
      deep,
      0.34 * old,
    )
  }
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
  { inner, pupil: [px, py], out, k, ir, fold }: EyeForm,
  upper: readonly Point[],
  lower: readonly Point[],
  { rose, iris: colours }: { readonly rose: LinearRgb; readonly iris: Iris },
): void {
  const eye = closedCurve([...upper, ...lower.slice(1, -1).reverse()])
  const iris: Point = [px, py - 0.5 * k]
  easel.cover(easel.shape(eye, 0.22), (x, y) => {
    const d = Math.hypot(x - iris[0], y - iris[1]) / ir
    // The upper lid and its lashes throw a shadow on the ball.
    const shade = 0.34 + 0.66 * smoothstep(-5.6 * k, -0.4 * k, y - py)
    const round = 1 - 0.34 * smoothstep(6, 15, Math.abs(x - px) / k)
    const corner = smoothstep(9, 15, Math.abs(x - px) / k)
    const white: LinearRgb = [
      0.66 * shade * round,
      (0.61 - 0.1 * corner) * shade * round,
      (0.59 - 0.12 * corner) * shade * round,
    ]
    if (d > 6.5) return white
    const lit = 0.4 + 0.6 * shade
    const c = irisAt(colours, x - iris[0], y - iris[1], d)
    return mixLinear([c[0] * lit, c[1] * lit, c[2] * lit], white, smoothstep(5.75, 6.4, d))
  })
  const spot = (dx: number, dy: number, rx: number, ry: number, light: number, strength: number) =>
    easel.cover(
      easel.shape(oval([iris[0] + dx * ir, iris[1] + dy * ir], rx * ir, ry * ir), 0.18),
      [light, light, light],
      strength,
    )
  spot(-1.9, -2, 0.95, 1.1, 0.96, 0.94)
  spot(1.8, 2.2, 0.7, 0.55, 0.8, 0.3)
  if (fold < 0.6)
    easel.cover(
      easel.shape(oval([inner[0] + 0.9 * out * k, inner[1] - 0.2 * k], 1.3 * k, k), 0.4 * k),
      [rose[0] * 0.85, rose[1] * 0.75, rose[2] * 0.75],
      0.8 * (1 - fold),
    )
}

/** The rims of both lids, the wet edge between them and the ball, and the lashes. */
function drawLids(
  easel: SkinLayers,
  form: EyeForm,
  upper: readonly Point[],
  lower: readonly Point[],
  { lash, deep, rose }: Readonly<Record<'lash' | 'deep' | 'rose', LinearRgb>>,
): void {
  const { k, young } = form
  const wet: LinearRgb = [0.3 + 0.5 * rose[0], 0.26 + 0.4 * rose[1], 0.25 + 0.4 * rose[2]]
  const inwards = lower.map(([x, y]): Point => [x, y - 0.45 * k])
  easel.cover(easel.shape(strokeRing(inwards, tapered(0.7 * k, 0.1 * k)), 0.2 * k), wet, 0.5)
  easel.cover(
    easel.shape(
      strokeRing(upper, t => (0.45 + 1.25 * smoothstep(0, 0.6, t) - 0.3 * smoothstep(0.85, 1, t)) * k),
      0.2 * k,
    ),
    lash,
    0.95,
  )
  easel.cover(easel.shape(strokeRing(lower, tapered(0.6 * k, 0.15 * k)), 0.28 * k), deep, 0.75)
  drawLashes(easel, form, lash, { n: 27, from: 0.08, long: 1.9 + 0.3 * young, down: 0 })
  drawLashes(easel, form, lash, { n: 17, from: 0.3, long: 0.85, down: 1 })
}

/** A row of lashes: of the upper lid bending up, of the lower one down. */
function drawLashes(
  easel: SkinLayers,
  { outer, out, k, lift }: EyeForm,
  lash: LinearRgb,
  {
    n,
    from,
    long,
    down,
  }: { readonly n: number; readonly from: number; readonly long: number; readonly down: number },
): void {
  for (let i = 0; i < n; i++) {
    const t = from + ((0.98 - from) * (i + 0.5 * hash(i, 12))) / (n - 1)
    const bow = Math.sin(Math.PI * Math.min(1, 0.08 + 0.86 * t)) ** 0.8
    const at = t > 0.97 ? outer : lift(t, down ? 3.7 * bow : -5.1 * bow)
    const length = long * (0.8 + 1.25 * t) * (0.75 + 0.5 * hash(i, 13)) * k
    const dx = out * ((t - 0.32) * 1.2 + 0.24 * (hash(i, 14) - 0.5))
    const dy = down ? 1 : -1
    const way: Point[] = [
      at,
      [at[0] + dx * length * 0.62, at[1] + dy * length * 0.34],
      [at[0] + dx * length, at[1] + dy * length * 0.95],
    ]
    easel.cover(
      easel.shape(
        strokeRing(way, s => (down ? 0.28 : 0.44) * k * (1 - 0.8 * s)),
        0.08,
      ),
      lash,
      down ? 0.42 : 0.7,
    )
  }
}
