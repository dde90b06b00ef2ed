import { ringOf, type Point, type Ring } from '../../geometry'
import { linearOf } from '../../paint/colour'
import type { Face } from '../../skin/faces/face'
import type { Ground } from '../../skin/grounds'
import { reliefOf, silhouetteOf } from '../../skin/relief'
import { hairRing } from '../../skin/faces/hair'
import { strokeRing, type SkinLayers } from './skinLayers'
import { lay } from './lamp'

const PAPER = '#fbfaf6'
const PRINT = '#8b857c'

/** A sheet of A4 with the outlines of a face printed on it at true size. */
export function drawBoard(easel: SkinLayers, ground: Ground): void {
  const [paper] = ground.extent
  const { face } = ground
  if (!paper || !face) return
  easel.each(
    easel.shape(
      Float64Array.from(paper, (v, i) => v + (i % 2 ? 2.5 : 1.5)),
      2.5,
    ),
    (p, cover) => {
      easel.light[p]! *= 1 - 0.22 * cover
    },
  )
  easel.each(easel.shape(paper), (p, cover) => {
    lay(easel, p, cover, linearOf(PAPER), 1)
    easel.skin[p] = Math.max(easel.skin[p]!, cover)
  })
  drawOutlines(easel, ground, face)
  drawCrosses(easel, paper)
}

/** Draws a printed line. */
function line(easel: SkinLayers, points: readonly Point[], width = 0.5): void {
  const stroke = strokeRing(points, () => width)
  easel.stain(easel.shape(stroke, 0.08), PRINT, 0.85)
}

/** The outlines of the face, of what must stay free, and of each side's features. */
function drawOutlines(easel: SkinLayers, ground: Ground, face: Face): void {
  const closed = (ring: Ring, width = 0.5) => line(easel, pointsRound(ring), width)
  closed(ringOf(silhouetteOf(face, reliefOf(face)).filter((_, i) => i % 8 === 0)), 0.6)
  const hair = pointsRound(hairRing(face.form))
  line(
    easel,
    hair.slice(0, Math.floor(hair.length / 2)).filter((_, i) => i % 2 === 0),
    0.4,
  )
  for (const { ring } of ground.keepOuts) closed(ring, 0.45)
  for (const side of ['left', 'right'] as const) {
    const s = face.landmarks[side]
    const { mid } = face.landmarks
    const { ky } = face.form
    const brow = ground.zone(`${side}.brow`)
    if (brow) closed(brow, 0.35)
    const nose: Point[] = [
      [s.innerEye[0] * 0.62, s.innerEye[1] + 4 * ky],
      [s.noseWing[0] * 0.5, s.noseWing[1] - 18 * ky],
      [s.noseWing[0] * 0.98, s.noseWing[1] - 5 * ky],
      [s.noseWing[0], s.noseWing[1] + ky],
      [s.noseWing[0] * 0.6, mid.noseBase[1] + ky],
    ]
    line(easel, nose, 0.4)
    const lips: Point = [(s.mouthCorner[0] + mid.mouth[0]) / 2, mid.mouth[1] + 0.6 * ky]
    line(easel, [s.mouthCorner, lips, mid.mouth], 0.4)
  }
}

/** Half the length of a cross, mm. */
const ARM = 2.5

/** Crosses every 20 mm in the corners tell whether the print is true to size. */
function drawCrosses(easel: SkinLayers, paper: Ring): void {
  const [x0, y0, x1] = [paper[0]! + 12, paper[1]! + 12, paper[2]! - 12]
  for (const x of [x0, x0 + 20, x1, x1 - 20]) {
    line(
      easel,
      [
        [x - ARM, y0],
        [x + ARM, y0],
      ],
      0.3,
    )
    line(
      easel,
      [
        [x, y0 - ARM],
        [x, y0 + ARM],
      ],
      0.3,
    )
  }
}

const pointsRound = (ring: Ring): Point[] =>
  Array.from({ length: ring.length / 2 + 1 }, (_, i): Point => [
    ring[(2 * i) % ring.length]!,
    ring[(2 * i + 1) % ring.length]!,
  ])
