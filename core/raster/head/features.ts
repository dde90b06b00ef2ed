import type { Face, Form } from '../../skin/faces/face'
import type { Landmarks, SideLandmark } from '../../skin/faces/landmarks'
import { lipRings } from '../../skin/zones'
import { mix, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { hash, smoothstep } from '../grid'
import { closedCurve, strokeRing, tapered, type SkinLayers } from './skinLayers'

type SideOf = Readonly<Record<SideLandmark, Point>>

/** Blush, brows, nose, lips and eyes, drawn from the landmarks. */
export function drawFeatures(easel: SkinLayers, whole: Face, skin: LinearRgb, eyes: 'open' | 'closed'): void {
  const { landmarks: face, form } = whole
  const young = 1 - form.grown
  const k = form.kx
  const rose: LinearRgb = mixLinear(skin, [skin[0] * 0.98, skin[1] * 0.5, skin[2] * 0.48], 1)
  for (const side of [face.left, face.right]) {
    const out = Math.sign(side.pupil[0])
    easel.tint(
      easel.shape(
        oval([side.cheekbone[0] - 9 * out * k, side.cheekbone[1] + 7 * form.ky], 13 * k, 11 * k),
        7 * k,
      ),
      rose,
      0.3 + 0.12 * young,
    )
    drawBrow(easel, side, skin, form)
    drawNostril(easel, face, side, form)
    drawEye(easel, side, skin, rose, eyes, young)
  }
  easel.tint(easel.shape(oval(face.mid.noseTip, 6 * k, 5 * k), 3.5 * k), rose, 0.28 + 0.1 * young)
  drawLips(easel, whole, skin)
}

const oval = ([x, y]: Point, rx: number, ry: number, turn = 0): Float64Array => {
  const out = new Float64Array(64)
  const c = Math.cos(turn)
  const s = Math.sin(turn)
  for (let i = 0; i < 32; i++) {
    const a = (2 * Math.PI * i) / 32
    const u = rx * Math.cos(a)
    const v = ry * Math.sin(a)
    out[2 * i] = x + c * u - s * v
    out[2 * i + 1] = y + s * u + c * v
  }
  return out
}

/** Fine hairs, lying outward and up at the start and along the brow at its tail. */
function drawBrow(easel: SkinLayers, side: SideOf, skin: LinearRgb, form: Form): void {
  const young = 1 - form.grown
  const k = form.kx * (1 - 0.28 * young)
  const dark = mixLinear(linearOf('#2a1b13'), skin, 0.02 + 0.2 * young)
  const out = Math.sign(side.browPeak[0])
  const line = [
    side.browStart,
    mix(side.browStart, side.browPeak, 0.5),
    side.browPeak,
    side.browTail,
  ] as const
  const along = (t: number): Point => {
    const n = Math.min(2.999, t * 3)
    const i = Math.floor(n)
    const [x, y] = mix(line[i]!, line[i + 1]!, n - i)
    return [x, y - 1.6 * k * (1 - 0.5 * young) * Math.sin(Math.PI * Math.min(1, t * 1.1))]
  }
  const body = strokeRing(
    [along(0.02), along(0.3), along(0.62), along(1)],
    t => 5 * k * (1 - 0.78 * smoothstep(0.45, 1, t)) * smoothstep(-0.25, 0.2, t),
  )
  easel.tint(easel.shape(body, 1.1 * k), dark, 0.62 - 0.2 * young)
  for (let i = 0; i < 84; i++) {
    const t = (i + hash(i, 1)) / 84
    const [x, y] = along(t)
    const thick = 2.4 * k * (1 - 0.75 * smoothstep(0.45, 1, t))
    const across = (hash(i, 2) - 0.5) * 2 * thick
    const lean =
      1.25 * (1 - smoothstep(0, 0.75, t)) + 0.12 + (hash(i, 3) - 0.5) * 0.3 + (across / thick) * 0.25
    const length = (3.6 + 2.6 * hash(i, 4)) * k
    const from: Point = [x, y + across]
    const to: Point = [
      x + out * Math.cos(lean) * length,
      y + across - Math.sin(lean) * length + 0.35 * t * length,
    ]
    easel.tint(
      easel.shape(
        strokeRing([from, mix(from, to, 0.5), to], s => 0.42 * k * (1 - 0.8 * s)),
        0.12,
      ),
      dark,
      0.78 - 0.22 * young,
    )
  }
}

function drawNostril(easel: SkinLayers, face: Landmarks, side: SideOf, { kx: k, ky }: Form): void {
  const out = Math.sign(side.noseWing[0])
  const [, base] = face.mid.noseBase
  const wing = side.noseWing
  easel.tint(
    easel.shape(oval([wing[0] * 0.46, base - 1.1 * ky], 3.4 * k, 1.35 * k, 0.28 * out), 0.7 * k),
    '#1d0d0a',
    0.72,
  )
  // The crease around the wing.
  easel.tint(
    easel.shape(
      strokeRing(
        [
          [wing[0] * 0.93, wing[1] - 5.5 * ky],
          [wing[0] * 1.04, wing[1] - 0.5 * ky],
          [wing[0] * 0.95, wing[1] + 3.6 * ky],
          [wing[0] * 0.7, base + 0.6 * ky],
        ],
        tapered(1.3 * k),
      ),
      0.8 * k,
    ),
    '#2c110b',
    0.34,
  )
}

function drawLips(easel: SkinLayers, whole: Face, skin: LinearRgb): void {
  const {
    landmarks: face,
    form: { kx: k, ky },
  } = whole
  const { mouth, lowerLip } = face.mid
  const l = face.left.mouthCorner
  const r = face.right.mouthCorner
  const lip = mixLinear([skin[0] * 0.8, skin[1] * 0.46, skin[2] * 0.46], linearOf('#8a3b3f'), 0.22)
  // Along from the middle of the mouth (0) to a corner (1), beside the midline at that height.
  const half = (corner: Point, t: number, middle: Point, dy: number): Point => [
    middle[0] + (corner[0] - middle[0]) * t,
    middle[1] + dy * ky,
  ]
  const { upper, lower } = lipRings(whole)
  easel.tint(easel.shape(upper, 0.8 * k), mixLinear(lip, [0, 0, 0], 0.14), 0.86)
  easel.tint(easel.shape(lower, 0.9 * k), lip, 0.82)
  const seam = [
    half(l, 1.05, [mouth[0], l[1]], -0.4),
    half(l, 0.55, mouth, 0.3),
    half(l, 0.2, mouth, -0.3),
    half(l, 0, mouth, 0.7),
    half(r, 0.2, mouth, -0.3),
    half(r, 0.55, mouth, 0.3),
    half(r, 1.05, [mouth[0], r[1]], -0.4),
  ]
  easel.tint(easel.shape(strokeRing(seam, tapered(1.5 * k, 0.5 * k)), 0.45 * k), '#2a0d0e', 0.68)
  for (const c of [l, r])
    easel.tint(easel.shape(oval([c[0] * 1.02, c[1]], 1.8 * k, 1.3 * k), 0.9 * k), '#2a0d0e', 0.3)
  easel.each(
    easel.shape(oval([lowerLip[0] - 3 * k, lowerLip[1] - 4.6 * ky], 8 * k, 1.5 * k), 1.4 * k),
    (p, c) => {
      easel.gloss[p]! += 0.06 * c
    },
  )
}

/** An eye: lids, lashes and, when open, what lies between them. */
function drawEye(
  easel: SkinLayers,
  side: SideOf,
  skin: LinearRgb,
  rose: LinearRgb,
  eyes: 'open' | 'closed',
  young: number,
): void {
  const inner = side.innerEye
  const outer = side.outerEye
  const [px, py] = side.pupil
  const out = Math.sign(px)
  // Everything scales with the eye's width, but a child's eye stands open wider and its iris is nearly a grown one's.
  const k = Math.abs(outer[0] - inner[0]) / 28.5
  const tall = k * (1 + 0.4 * young)
  const ir = 0.42 + 0.58 * k
  const at = (t: number): Point => mix(inner, outer, t)
  const lift = (t: number, h: number): Point => [at(t)[0], at(t)[1] + h * tall]
  const upper: Point[] = [inner, lift(0.16, -2.9), lift(0.38, -4.8), lift(0.6, -5.1), lift(0.84, -3.2), outer]
  const lower: Point[] = [inner, lift(0.2, 1.9), lift(0.45, 3.7), lift(0.7, 3.7), lift(0.88, 2), outer]
  const lash = mixLinear(linearOf('#1a1210'), skin, 0.03)
  const deep: LinearRgb = [skin[0] * 0.5, skin[1] * 0.36, skin[2] * 0.32]
  // The fold above the lid, and the soft shade beneath the eye.
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
  if (eyes === 'closed') {
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
    return
  }
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
