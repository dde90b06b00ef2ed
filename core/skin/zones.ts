import { ringHolds, smoothThrough, type Point, type Ring } from '../geometry'
import type { Landmarks, Side, SideLandmark } from './landmarks'

/** Zones that exist once, across the midline. */
export const MID_ZONES = ['face', 'forehead', 'nose', 'muzzle', 'chin'] as const
/** Zones that exist on each side. */
export const SIDE_ZONES = ['eye', 'temple', 'cheek', 'jaw'] as const

export type ZoneId = typeof MID_ZONES[number] | `${Side}.${typeof SIDE_ZONES[number]}`

export const ZONE_IDS: readonly ZoneId[] = [...MID_ZONES, ...SIDE_ZONES.flatMap(z => [`left.${z}`, `right.${z}`] as const)]

/** A zone's name in words: "left cheek". */
export const zoneWords = (id: ZoneId): string => id === 'face' ? 'whole face' : id.replace('.', ' ')

type SideOf = Readonly<Record<SideLandmark, Point>>

const curve = (points: readonly Point[]): Ring => Float64Array.from(smoothThrough(points, true, 6))
/** A point given from one landmark, dx counted outward from the midline. */
const off = ([x, y]: Point, dx: number, dy: number): Point => [x + Math.sign(x) * dx, y + dy]

const SIDE_SHAPES: Record<typeof SIDE_ZONES[number], (s: SideOf) => Point[]> = {
  // From the brow to under the eye, out past the eye corner.
  eye: s => [off(s.browStart, 0, 4), off(s.browPeak, -6, 3), off(s.browPeak, 8, 4), off(s.browTail, 3, 4), off(s.outerEye, 10, 2), off(s.outerEye, 3, 10), off(s.pupil, 0, 14), off(s.innerEye, 1, 10), off(s.innerEye, -5, 1)],
  temple: s => [off(s.browTail, -3, -8), off(s.temple, -13, -8), off(s.temple, -2, -4), off(s.temple, 3, 16), off(s.browTail, 12, 10), off(s.browTail, 4, 2)],
  // The round of the cheek, below the eye and beside nose and mouth.
  cheek: s => [off(s.innerEye, 3, 17), off(s.pupil, 4, 18), off(s.outerEye, 8, 14), off(s.cheekbone, 7, -4), off(s.cheekbone, 5, 14), off(s.mouthCorner, 22, -10), off(s.mouthCorner, 9, -9), off(s.noseWing, 6, -2)],
  jaw: s => [off(s.mouthCorner, 10, -4), off(s.cheekbone, 4, 20), off(s.cheekbone, -3, 46), off(s.mouthCorner, 12, 26), off(s.mouthCorner, -3, 24), off(s.mouthCorner, 4, 10)],
}

/** Outlines of a zone in the skin frame (mm), following the landmarks; a midline zone is one ring. */
export function zoneRing(face: Landmarks, id: ZoneId): Ring {
  const [side, name] = id.includes('.') ? id.split('.') as [Side, typeof SIDE_ZONES[number]] : [null, id as typeof MID_ZONES[number]]
  if (side) return curve(SIDE_SHAPES[name as typeof SIDE_ZONES[number]](face[side]))
  const { left: l, right: r, mid: m } = face
  /** A zone across the midline from its right half, top to bottom. */
  const across = (half: (s: SideOf) => Point[]): Ring => curve([...half(r), ...half(l).reverse()])
  switch (name as typeof MID_ZONES[number]) {
    case 'face': return across(s => [[Math.sign(s.pupil[0]) * 18, m.hairline[1] + 1], off(s.temple, -11, -13), off(s.temple, 0, 10), off(s.browTail, 14, 12), off(s.earFront, -2, 8), off(s.cheekbone, 8, 24), off(s.cheekbone, -6, 58), off(s.mouthCorner, -2, 36), [Math.sign(s.pupil[0]) * 9, m.chin[1] - 3]])
    case 'forehead': return across(s => [[Math.sign(s.pupil[0]) * 12, m.hairline[1] + 3], off(s.temple, -17, -16), off(s.temple, -8, 0), off(s.browTail, 0, -6), off(s.browPeak, 4, -5), off(s.browStart, 0, -5), [Math.sign(s.pupil[0]) * 4, s.browStart[1] - 2]])
    case 'nose': return across(s => [[Math.sign(s.pupil[0]) * 6, m.nasion[1] - 2], off(s.noseWing, -8, -24), off(s.noseWing, 0, -4), off(s.noseWing, -3, 4), [Math.sign(s.pupil[0]) * 4, m.noseBase[1] + 1]])
    case 'muzzle': return across(s => [off(s.noseWing, 0, 1), off(s.noseWing, 9, 7), off(s.mouthCorner, 8, -4), off(s.mouthCorner, 4, 10), [Math.sign(s.pupil[0]) * 14, m.lowerLip[1] + 12], [Math.sign(s.pupil[0]) * 4, m.lowerLip[1] + 14]])
    case 'chin': return across(s => [[Math.sign(s.pupil[0]) * 6, m.lowerLip[1] + 4], off(s.mouthCorner, -4, 16), off(s.mouthCorner, 0, 28), [Math.sign(s.pupil[0]) * 14, m.chin[1] - 3]])
  }
}

/** Where paint must not go: the open eyes, nostrils and the mouth's line, as rings in mm. */
export function keepOuts(face: Landmarks): { words: string, ring: Ring }[] {
  const eye = (s: SideOf): Ring => {
    const mid: Point = [(s.innerEye[0] + s.outerEye[0]) / 2, (s.innerEye[1] + s.outerEye[1]) / 2]
    return curve([s.innerEye, off(mid, 0, -5.5), s.outerEye, off(mid, 0, 4)])
  }
  const nostril = (s: SideOf): Ring => {
    const [x, y] = [s.noseWing[0] * 0.46, face.mid.noseBase[1] - 1]
    return curve([[x - 4, y], [x, y - 2], [x + 4, y], [x, y + 2]])
  }
  const { upperLip, lowerLip } = face.mid
  return [
    { words: 'left eye', ring: eye(face.left) }, { words: 'right eye', ring: eye(face.right) },
    { words: 'left nostril', ring: nostril(face.left) }, { words: 'right nostril', ring: nostril(face.right) },
    { words: 'mouth', ring: curve([face.left.mouthCorner, [0, upperLip[1]], face.right.mouthCorner, [0, lowerLip[1]]]) },
  ]
}

/** The zone that a point lies in, the smallest first; null off the face. */
export function zoneAt(face: Landmarks, [x, y]: Point): ZoneId | null {
  const order: readonly ZoneId[] = ['left.eye', 'right.eye', 'nose', 'chin', 'muzzle', 'left.temple', 'right.temple', 'forehead', 'left.cheek', 'right.cheek', 'left.jaw', 'right.jaw', 'face']
  return order.find(id => ringHolds(zoneRing(face, id), x, y)) ?? null
}
