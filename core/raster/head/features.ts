import type { Face, Form } from '../../skin/faces/face'
import type { Landmarks } from '../../skin/faces/landmarks'
import { lipRings } from '../../skin/zones'
import { mix, type Point, type Ring } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import { BROW_HAIR } from '../../paint/skinHold'
import { hash, noise, smoothstep } from '../grid'
import { drawEye } from './eye'
import { irisOf } from './iris'
import { oval, strokeRing, tapered, type SideOf, type SkinLayers } from './skinLayers'

/** How the eyes of a face look. */
interface EyesSeen {
  readonly eyes: 'open' | 'closed'
  readonly iris?: string | undefined
}

/** Blush, brows, nose, lips and eyes, drawn from the landmarks. */
export function drawFeatures(
  easel: SkinLayers,
  whole: Face,
  skin: LinearRgb,
  { eyes, iris }: EyesSeen,
): void {
  const { landmarks: face, form } = whole
  const young = 1 - form.grown
  const k = form.kx
  const rose: LinearRgb = mixLinear(skin, [skin[0] * 0.98, skin[1] * 0.5, skin[2] * 0.48], 1)
  for (const side of [face.left, face.right]) {
    const out = Math.sign(side.pupil[0])
    easel.stain(
      easel.shape(
        oval([side.cheekbone[0] - 9 * out * k, side.cheekbone[1] + 7 * form.ky], 13 * k, 11 * k),
        7 * k,
      ),
      rose,
      0.3 + 0.12 * young,
    )
    drawBrow(easel, side, skin, form)
    drawNostril(easel, face, side, form)
    drawEye(easel, side, { skin, rose, eyes, iris: irisOf(iris), form })
  }
  if (form.old > 0) drawForehead(easel, whole, skin)
  easel.stain(easel.shape(oval(face.mid.noseTip, 6 * k, 5 * k), 3.5 * k), rose, 0.28 + 0.1 * young)
  drawLips(easel, whole, skin)
}

/** The lines that years leave across the forehead. */
function drawForehead(easel: SkinLayers, { landmarks: face, form }: Face, skin: LinearRgb): void {
  const { browPeak } = face.right
  const [, line] = face.mid.hairline
  const deep: LinearRgb = [skin[0] * 0.62, skin[1] * 0.48, skin[2] * 0.44]
  for (const [up, wide] of [
    [0.24, 30],
    [0.42, 36],
    [0.6, 30],
  ] as const) {
    const y = browPeak[1] + (line - browPeak[1]) * up
    const at = (x: number, dy: number): Point => [x * wide * form.kx, y + dy * form.ky]
    const way = [at(-1, 1.6), at(-0.5, -0.6), at(-0.05, 0.7), at(0.5, -0.7), at(1, 1.5)]
    easel.stain(easel.shape(strokeRing(way, tapered(1.1 * form.kx)), 0.7 * form.kx), deep, 0.36 * form.old)
  }
}

/** Fine hairs, lying outward and up at the start and along the brow at its tail. */
function drawBrow(easel: SkinLayers, side: SideOf, skin: LinearRgb, form: Form): void {
  const young = 1 - form.grown
  const { traits, old } = form
  const k = form.kx * (1 - 0.15 * young)
  const grey = mixLinear(linearOf(BROW_HAIR), [0.3, 0.28, 0.26], 0.55 * old)
  const dark = mixLinear(grey, skin, 0.05 + 0.22 * young)
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
  const thick = (t: number) =>
    traits.brows * (1 - 0.82 * smoothstep(0.42, 1, t)) * (0.55 + 0.45 * smoothstep(-0.1, 0.28, t))
  const body = strokeRing([along(0.03), along(0.3), along(0.62), along(0.98)], t => 0.86 * thick(t))
  easel.growHair(easel.shape(body, 0.85 * k), dark, 0.66 - 0.2 * young)
  for (let i = 0; i < 120; i++) {
    const t = (i + hash(i, 1)) / 120
    const [x, y] = along(t)
    const wide = 0.5 * thick(t)
    const across = (hash(i, 2) - 0.5) * 2 * wide
    const lean = 1.2 * (1 - smoothstep(0, 0.7, t)) + 0.1 + (hash(i, 3) - 0.5) * 0.3 + (across / wide) * 0.28
    const length = (2.6 + 2.2 * hash(i, 4)) * k * (0.7 + 0.05 * traits.brows)
    const from: Point = [x, y + across]
    const to: Point = [
      x + out * Math.cos(lean) * length,
      y + across - Math.sin(lean) * length + 0.35 * t * length,
    ]
    const bent: Point = [mix(from, to, 0.5)[0], mix(from, to, 0.5)[1] - 0.12 * length]
    const hair = strokeRing([from, bent, to], s => 0.4 * k * (1 - 0.75 * s))
    easel.growHair(easel.shape(hair, 0.1), dark, 0.66 - 0.2 * young)
  }
}

function drawNostril(easel: SkinLayers, face: Landmarks, side: SideOf, { kx: k, ky }: Form): void {
  const out = Math.sign(side.noseWing[0])
  const [, base] = face.mid.noseBase
  const wing = side.noseWing
  easel.stain(
    easel.shape(oval([wing[0] * 0.46, base - 1.1 * ky], 3.3 * k, 1.3 * k, 0.28 * out), 0.75 * k),
    '#1d0d0a',
    0.62,
  )
  // The crease around the wing.
  easel.stain(
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
  const { lips } = whole.form.traits
  const bare = whole.form.old
  // Fine furrows run down the red of both lips.
  const red = (ring: Ring, soft: number, colour: LinearRgb, strength: number) =>
    easel.each(easel.shape(ring, soft * k), (p, cover, x) => {
      const furrow = 1 + 0.16 * (noise(x * 1.5, 3, 8) - 0.5)
      const a = cover * strength * (1 - 0.25 * bare)
      for (let b = 0; b < 3; b++)
        easel.albedo[3 * p + b]! += (colour[b]! * furrow - easel.albedo[3 * p + b]!) * a
    })
  red(upper, 0.75, mixLinear(lip, [0, 0, 0], 0.16), 0.84)
  red(lower, 0.9, lip, 0.8)
  // The lower lip is round: light above, its own shade beneath.
  const low = (dy: number): Point => [lowerLip[0], mouth[1] + dy * lips]
  easel.each(easel.shape(oval(low(0.2), 12 * k, 0.1 * lips), 1.6 * k), (p, c) => {
    easel.light[p]! *= 1 + 0.1 * c
  })
  easel.each(easel.shape(oval(low(0.66), 11 * k, 1.4 * k), 1.6 * k), (p, c) => {
    easel.light[p]! *= 1 - 0.16 * c
  })
  const seam = [
    half(l, 1.05, [mouth[0], l[1]], -0.4),
    half(l, 0.55, mouth, 0.3),
    half(l, 0.2, mouth, -0.3),
    half(l, 0, mouth, 0.7),
    half(r, 0.2, mouth, -0.3),
    half(r, 0.55, mouth, 0.3),
    half(r, 1.05, [mouth[0], r[1]], -0.4),
  ]
  easel.stain(easel.shape(strokeRing(seam, tapered(1.35 * k, 0.4 * k)), 0.45 * k), '#2a0d0e', 0.66)
  for (const c of [l, r])
    easel.stain(easel.shape(oval([c[0] * 1.02, c[1]], 1.8 * k, 1.3 * k), 0.9 * k), '#2a0d0e', 0.3)
  for (const [dx, wide] of [
    [-4.2, 4.2],
    [3.6, 3],
  ] as const)
    easel.each(
      easel.shape(oval([lowerLip[0] + dx * k, low(0.22)[1]], wide * k, 0.07 * lips), 0.8 * k),
      (p, c) => {
        easel.gloss[p]! += 0.075 * c
      },
    )
}
