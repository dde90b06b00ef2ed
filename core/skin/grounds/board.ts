import { ringOf } from '../../geometry'
import { canvasWords, type BoardCanvas } from '../canvas'
import { SAME } from '../chart'
import { faceOf } from '../faces/face'
import { landmarkList } from '../faces/landmarks'
import { PLANE } from '../surface'
import { keepOutsOf } from '../zones'
import { zonesOfFace } from './face'
import { framed } from './framing'
import type { Ground } from './ground'

const A4 = { minX: -105, maxX: 105, minY: -148.5, maxY: 148.5 }

/** A face printed on paper; it stands a little above the middle. */
export function boardGround(canvas: BoardCanvas, age: number): Ground {
  const face = faceOf({ build: canvas.build, measures: null, nudges: {} }, age)
  const paper = { minX: A4.minX, maxX: A4.maxX, minY: A4.minY + 12, maxY: A4.maxY + 12 }
  const ring = ringOf([
    [paper.minX, paper.minY],
    [paper.maxX, paper.minY],
    [paper.maxX, paper.maxY],
    [paper.minX, paper.maxY],
  ])
  return {
    kind: 'board',
    eyesClosed: false,
    canvas,
    words: canvasWords(canvas),
    face,
    relief: null,
    arm: null,
    front: SAME,
    marks: landmarkList(face.landmarks),
    extent: [ring],
    ...zonesOfFace(face),
    surface: PLANE,
    box: framed({ minX: paper.minX - 6, maxX: paper.maxX + 6, minY: paper.minY - 6, maxY: paper.maxY + 6 }),
    keepOuts: keepOutsOf(face),
    wrap: () => ({ chart: SAME, box: paper }),
  }
}
