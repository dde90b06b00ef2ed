import type { Face, Form } from '../../skin/faces/face'
import type { Landmarks } from '../../skin/faces/landmarks'
import { lipRings } from '../../skin/zones'
import { mix, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { BROW_HAIR } from '../../paint/skinHold'
import { hash, smoothstep } from '../grid'
import { drawEye } from './eye'
import { oval, strokeRing, tapered, type SideOf, type SkinLayers } from './skinLayers'

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

/** Fine hairs, lying outward and up at the start and along the brow at its tail. */
function drawBrow(easel: SkinLayers, side: SideOf, skin: LinearRgb, form: Form): void {
  const young = 1 - form.grown
  const k = form.kx * (1 - 0.28 * young)
  const dark = mixLinear(linearOf(BROW_HAIR), skin, 0.02 + 0.2 * young)
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
  easel.growHair(easel.shape(body, 1.1 * k), dark, 0.62 - 0.2 * young)
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
    easel.growHair(
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
