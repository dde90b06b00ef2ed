import { boxOf, intersection, ringOf, type Box, type Point, type Ring } from '../../geometry'
import { canvasWords, type FaceCanvas } from '../canvas'
import { SAME } from '../chart'
import { faceOf, type Face } from '../faces/face'
import { hairRing } from '../faces/hair'
import { landmarkList } from '../faces/landmarks'
import { reliefOf, silhouetteOf } from '../relief'
import { heightField, tabulated } from '../surface'
import { arcLengthChart } from '../wrap'
import { FACE_ZONES, isFaceZone, keepOutsOf, zoneRing, type ZoneId } from '../zones'
import { framed, lazily } from './framing'
import type { Ground } from './ground'

/** The zones of a face, each drawn when it is first asked for. */
export function zonesOfFace(face: Face): Pick<Ground, 'zones' | 'zone'> {
  const rings = new Map<ZoneId, Ring>()
  return {
    zones: FACE_ZONES,
    zone(id) {
      if (!isFaceZone(id)) return null
      if (!rings.has(id)) rings.set(id, zoneRing(face, id))
      return rings.get(id)!
    },
  }
}

/**
 * A face, whole or in part. Throws RangeError with a sentence when it cannot be.
 * @param bald whether nothing is kept off for hair
 */
export function faceGround(canvas: FaceCanvas, age: number, bald = false): Ground {
  const face = faceOf(canvas, age, bald)
  const relief = reliefOf(face)
  const { form, landmarks } = face
  const outline = ringOf(silhouetteOf(face, relief))
  const skull = boxOf(outline)
  const { kx, ky } = form
  const reach: Box = {
    minX: skull.minX - 10,
    maxX: skull.maxX + 10,
    minY: skull.minY - 6,
    maxY: skull.maxY + 6,
  }
  const surface = lazily(() => heightField(tabulated(relief.z, reach), reach))
  const part = partOf(canvas.part, kx, ky)
  const wide = Math.max(skull.maxX * 1.42, 84)
  const extent = part
    ? intersection([{ outer: outline, holes: [] }], [{ outer: part, holes: [] }]).map(p => p.outer)
    : [outline]
  const whole = framed({
    minX: -wide,
    maxX: wide,
    minY: form.crown - 15 * form.skullHeight,
    maxY: landmarks.mid.chin[1] + 32 * ky,
  })
  const shown = part ? extent.reduce((b, r) => boxOf(r, b), boxOf(extent[0]!)) : null
  return {
    kind: 'face',
    eyesClosed: false,
    canvas,
    words: canvasWords(canvas),
    face,
    relief,
    arm: null,
    front: SAME,
    marks: landmarkList(landmarks),
    extent,
    ...zonesOfFace(face),
    box: shown
      ? framed({ minX: shown.minX - 8, maxX: shown.maxX + 8, minY: shown.minY - 8, maxY: shown.maxY + 8 })
      : whole,
    keepOuts: [
      ...keepOutsOf(face),
      ...(bald ? [] : [{ kind: 'hair' as const, side: null, ring: hairRing(form) }]),
    ],
    get surface() {
      return surface()
    },
    wrap: lazily(() => arcLengthChart(relief.z, y => relief.mask(0, y), skull)),
  }
}

/**
 * The rectangle that a part of a face is cut out with; null for the whole. Left is the left of the picture.
 */
function partOf(part: FaceCanvas['part'], kx: number, ky: number): Ring | null {
  if (part === 'whole') return null
  const [x0, x1, y0, y1] = part.endsWith('half') ? [-3, 200, -300, 300] : [9 * kx, 200, 10 * ky, 96 * ky]
  const out = part.startsWith('left') ? -1 : 1
  return ringOf(
    (
      [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ] as Point[]
    ).map(([x, y]): Point => [out * x, y]),
  )
}
