import { ringOf, type Point } from '../../geometry'
import { linearOf, mixLinear, type LinearRgb } from '../../paint/colour'
import type { Face } from '../../skin/faces/face'
import { silhouetteOf, type Relief } from '../../skin/relief'
import { noise, smoothstep } from '../grid'
import { lay } from './lamp'
import { closedCurve, strokeRing, tapered, type SkinLayers } from './skinLayers'

/** A point of the mean adult, mm. */
type Pair = readonly [number, number]

const CAPE = '#8d8791'

/** The neck, under the shadow of the head, and the cape over the shoulders. */
export function neckAndCape(easel: SkinLayers, face: Face, relief: Relief, skin: LinearRgb): void {
  const { kx, ky, foot, grown } = face.form
  const slim = kx * (0.9 + 0.1 * grown)
  const shape = (points: readonly Pair[]) =>
    points.map(([x, y]): Point => [x * slim, foot + (y - 120.5) * ky])
  const inMean = (x: number, y: number): Point => [x / slim, 120.5 + (y - foot) / ky]
  const neck = closedCurve(
    shape([
      [-43, 60],
      [-42.5, 95],
      [-43.5, 120],
      [-49, 138],
      [-75, 156],
      [0, 170],
      [75, 156],
      [49, 138],
      [43.5, 120],
      [42.5, 95],
      [43, 60],
    ]),
  )
  const shadow = easel.shape(ringOf(silhouetteOf(face, relief, 17 * ky)), 7 * ky)
  easel.each(easel.shape(neck), (p, cover, px, py) => {
    const [x, y] = inMean(px, py)
    const u = Math.min(1, Math.abs(x) / 52)
    const round = Math.sqrt(1 - 0.86 * u * u)
    const cords = 0.05 * grown * Math.exp(-(((Math.abs(x) - 20 + (y - 130) * 0.35) / 5) ** 2))
    lay(easel, p, cover, skin, 0.26 + 0.5 * round - (0.1 * x) / 50 + cords)
  })
  easel.each(shadow, (p, cover) => {
    if (easel.light[p]! < 0.999) easel.light[p]! *= 1 - 0.52 * cover
  })
  drawCape(easel, shape, inMean)
}

/** The cape that lies over the shoulders, with its hem. */
function drawCape(
  easel: SkinLayers,
  shape: (points: readonly Pair[]) => Point[],
  inMean: (x: number, y: number) => Point,
): void {
  const cape = closedCurve(
    shape([
      [-58, 137],
      [-40, 141.5],
      [-20, 146.5],
      [0, 148],
      [20, 146.5],
      [40, 141.5],
      [58, 137],
      [86, 146],
      [112, 158],
      [118, 186],
      [0, 196],
      [-118, 186],
      [-112, 158],
      [-86, 146],
    ]),
  )
  const cloth = linearOf(CAPE)
  easel.each(easel.shape(cape, 0.2), (p, cover, px, py) => {
    const [x, y] = inMean(px, py)
    const fold = 0.1 * Math.sin(x * 0.16 + 1.2 * noise(x * 0.05, y * 0.05, 9)) * smoothstep(140, 152, y)
    lay(easel, p, cover, cloth, 0.86 + fold - 0.0018 * x - 0.12 * smoothstep(60, 110, Math.abs(x)))
  })
  for (const s of [0.4, 2.2])
    easel.stain(
      easel.shape(
        strokeRing(
          shape([
            [-60, 137 + s],
            [-40, 141.5 + s],
            [-20, 146.5 + s],
            [0, 148 + s],
            [20, 146.5 + s],
            [40, 141.5 + s],
            [60, 137 + s],
          ]),
          () => 0.7,
        ),
        0.35,
      ),
      '#5f5966',
      0.6,
    )
}

/** Both ears, behind the face. */
export function ears(easel: SkinLayers, { form }: Face, skin: LinearRgb): void {
  for (const s of [-1, 1]) {
    const to = (points: readonly Pair[]) =>
      points.map(([x, y]): Point => [x * s * form.wide(y), form.fromMean(y)])
    const outline = closedCurve(
      to([
        [66, -2],
        [71, -7],
        [77, -7.5],
        [81.5, -2],
        [82, 8],
        [80, 19],
        [77.5, 28],
        [75.5, 38],
        [72, 43.5],
        [68, 42],
        [64, 30],
      ]),
    )
    const warm = mixLinear(skin, [skin[0], skin[1] * 0.62, skin[2] * 0.58], 0.4)
    easel.each(easel.shape(outline), (p, cover, x, y) => {
      const ym = form.toMean(y)
      const d = (Math.abs(x) / form.wide(ym) - 74) / 8
      lay(easel, p, cover, warm, 0.72 - 0.14 * s + 0.12 * d - 0.1 * smoothstep(20, 44, ym))
    })
    for (const { points, width, soft, share } of EAR_FOLDS)
      easel.stain(
        easel.shape(strokeRing(to(points), tapered(width * form.kx)), soft * form.kx),
        [skin[0] * 0.34, skin[1] * 0.2, skin[2] * 0.17],
        share,
      )
  }
}

/** The folds of an ear: helix, antihelix and the hollow, mm of the mean adult. */
const EAR_FOLDS: readonly { points: readonly Pair[]; width: number; soft: number; share: number }[] = [
  {
    points: [
      [69.5, -1],
      [74.5, -3.6],
      [78, 0.6],
      [78, 9],
      [76, 18],
      [73.5, 26],
    ],
    width: 1.9,
    soft: 0.7,
    share: 0.55,
  },
  {
    points: [
      [70, 6],
      [74, 7.5],
      [74, 14],
      [71, 21],
    ],
    width: 3.4,
    soft: 1.1,
    share: 0.5,
  },
  {
    points: [
      [69, 12],
      [70.5, 18],
      [69, 24],
    ],
    width: 3,
    soft: 1,
    share: 0.5,
  },
]
