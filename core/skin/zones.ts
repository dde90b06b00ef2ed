import { mix, smoothThrough, type Point, type Ring } from '../geometry'
import type { Face } from './faces/face'
import { ownSide, type Landmarks, type Side, type SideLandmark } from './faces/landmarks'

/** Zones of a face that exist once, across the midline. */
const MID_ZONES = ['face', 'forehead', 'nose', 'muzzle', 'lips', 'chin'] as const
/** Zones of a face that exist on each side. */
const SIDE_ZONES = ['eye', 'brow', 'lid', 'under-eye', 'temple', 'cheekbone', 'cheek', 'jaw'] as const
/** Zones of an arm: the whole, and its bands from the upper end down. */
export const ARM_ZONES = ['arm', 'upper band', 'middle band', 'lower band'] as const

export type FaceZone = (typeof MID_ZONES)[number] | `${Side}.${(typeof SIDE_ZONES)[number]}`
export type ArmZone = (typeof ARM_ZONES)[number]
export type ZoneId = FaceZone | ArmZone

export const FACE_ZONES: readonly FaceZone[] = [
  ...MID_ZONES,
  ...SIDE_ZONES.flatMap(z => [`left.${z}`, `right.${z}`] as const),
]
export const isFaceZone = (id: ZoneId): id is FaceZone => (FACE_ZONES as readonly ZoneId[]).includes(id)
export const ZONE_IDS: readonly ZoneId[] = [...FACE_ZONES, ...ARM_ZONES]

/** A zone's name in words: "left cheek", left being the person's own. */
export const zoneWords = (id: ZoneId): string =>
  id === 'face'
    ? 'whole face'
    : id === 'arm'
      ? 'whole arm'
      : id.replace(/^(left|right)\./, side => `${ownSide(side.slice(0, -1) as Side)} `)
/** The zone that is to the other side of a face what a zone is to its own; one of the middle is its own. */
export const mirroredZone = (id: ZoneId): ZoneId =>
  (id.startsWith('left.')
    ? id.replace('left.', 'right.')
    : id.startsWith('right.')
      ? id.replace('right.', 'left.')
      : id) as ZoneId
/** A zone's name without its side: "cheek". */
export const plainZone = (id: ZoneId): string => id.replace(/^(left|right)\./, '')

type SideOf = Readonly<Record<SideLandmark, Point>>
/** A point given from one landmark, dx counted outward from the midline; both in mm of the mean adult. */
type Off = (at: Point, dx: number, dy: number) => Point

const curve = (points: readonly Point[]): Ring => Float64Array.from(smoothThrough(points, true, 6))

const SIDE_SHAPES: Record<(typeof SIDE_ZONES)[number], (s: SideOf, off: Off) => Point[]> = {
  // From the brow to under the eye, out past the eye corner.
  'eye': (s, off) => [
    off(s.browStart, 0, 4),
    off(s.browPeak, -6, 3),
    off(s.browPeak, 8, 4),
    off(s.browTail, 3, 4),
    off(s.outerEye, 10, 2),
    off(s.outerEye, 3, 10),
    off(s.pupil, 0, 14),
    off(s.innerEye, 1, 10),
    off(s.innerEye, -5, 1),
  ],
  'brow': (s, off) => [
    off(s.browStart, -2, -3),
    off(mix(s.browStart, s.browPeak, 0.5), 0, -5),
    off(s.browPeak, 0, -5),
    off(s.browTail, 2, -3),
    off(s.browTail, 3, 1),
    off(s.browPeak, 0, 4),
    off(mix(s.browStart, s.browPeak, 0.5), 0, 4),
    off(s.browStart, -2, 4),
  ],
  'lid': (s, off) => [
    off(s.innerEye, -2, -2),
    off(s.browStart, 4, 8),
    off(s.browPeak, -8, 7),
    off(s.browPeak, 6, 8),
    off(s.browTail, -2, 7),
    off(s.outerEye, 5, -3),
    off(s.outerEye, 0, -1),
    off(s.pupil, 0, -5),
  ],
  'under-eye': (s, off) => [
    off(s.innerEye, -1, 3),
    off(s.pupil, 0, 5),
    off(s.outerEye, 1, 3),
    off(s.outerEye, 5, 6),
    off(s.outerEye, -2, 13),
    off(s.pupil, 0, 16),
    off(s.innerEye, 0, 11),
  ],
  'temple': (s, off) => [
    off(s.browTail, -3, -8),
    off(s.temple, -13, -8),
    off(s.temple, -2, -4),
    off(s.temple, 3, 16),
    off(s.browTail, 12, 10),
    off(s.browTail, 4, 2),
  ],
  'cheekbone': (s, off) => [
    off(s.pupil, 8, 17),
    off(s.outerEye, 4, 12),
    off(s.outerEye, 14, 4),
    off(s.earFront, -5, -2),
    off(s.earFront, -6, 10),
    off(s.cheekbone, 2, 8),
    off(s.cheekbone, -10, 12),
    off(s.pupil, 10, 27),
  ],
  // The round of the cheek, below the eye and beside nose and mouth.
  'cheek': (s, off) => [
    off(s.innerEye, 3, 17),
    off(s.pupil, 4, 18),
    off(s.outerEye, 8, 14),
    off(s.cheekbone, 7, -4),
    off(s.cheekbone, 5, 14),
    off(s.mouthCorner, 22, -10),
    off(s.mouthCorner, 9, -9),
    off(s.noseWing, 6, -2),
  ],
  'jaw': (s, off) => [
    off(s.mouthCorner, 10, -4),
    off(s.cheekbone, 4, 20),
    off(s.cheekbone, -3, 46),
    off(s.mouthCorner, 12, 26),
    off(s.mouthCorner, -3, 24),
    off(s.mouthCorner, 4, 10),
  ],
}

/** What the right half of a midline zone is drawn from. */
interface Half {
  readonly s: SideOf
  readonly m: Landmarks['mid']
  readonly off: Off
  /** A point beside the midline at a height, dx outward in mm of the mean adult. */
  readonly beside: (dx: number, y: number) => Point
  readonly ky: number
}

/** The right halves of the zones across the midline, top to bottom. */
const MID_SHAPES: Record<(typeof MID_ZONES)[number], (half: Half) => Point[]> = {
  face: ({ s, m, off, beside, ky }) => [
    beside(18, m.hairline[1] + ky),
    off(s.temple, -11, -13),
    off(s.temple, 0, 10),
    off(s.browTail, 14, 12),
    off(s.earFront, -2, 8),
    off(s.cheekbone, 8, 24),
    off(s.cheekbone, -6, 58),
    off(s.mouthCorner, -2, 36),
    beside(9, m.chin[1] - 3 * ky),
  ],
  forehead: ({ s, m, off, beside, ky }) => [
    beside(12, m.hairline[1] + 3 * ky),
    off(s.temple, -17, -16),
    off(s.temple, -8, 0),
    off(s.browTail, 0, -6),
    off(s.browPeak, 4, -5),
    off(s.browStart, 0, -5),
    beside(4, s.browStart[1] - 2 * ky),
  ],
  nose: ({ s, m, off, beside, ky }) => [
    beside(6, m.nasion[1] - 2 * ky),
    off(s.noseWing, -8, -24),
    off(s.noseWing, 0, -4),
    off(s.noseWing, -3, 4),
    beside(4, m.noseBase[1] + ky),
  ],
  muzzle: ({ s, m, off, beside, ky }) => [
    off(s.noseWing, 0, 1),
    off(s.noseWing, 9, 7),
    off(s.mouthCorner, 8, -4),
    off(s.mouthCorner, 4, 10),
    beside(14, m.lowerLip[1] + 12 * ky),
    beside(4, m.lowerLip[1] + 14 * ky),
  ],
  lips: ({ s, m, off, beside, ky }) => [
    beside(4, m.upperLip[1] - 0.5 * ky),
    off(s.mouthCorner, -12, -5),
    s.mouthCorner,
    off(s.mouthCorner, -10, 6),
    beside(6, m.lowerLip[1]),
  ],
  chin: ({ s, m, off, beside, ky }) => [
    beside(6, m.lowerLip[1] + 4 * ky),
    off(s.mouthCorner, -4, 16),
    off(s.mouthCorner, 0, 28),
    beside(14, m.chin[1] - 3 * ky),
  ],
}

const isSide = (name: string): name is (typeof SIDE_ZONES)[number] => name in SIDE_SHAPES
const isMid = (name: string): name is (typeof MID_ZONES)[number] => name in MID_SHAPES

/**
 * The outline of a zone of a face in the skin frame (mm), following the landmarks; a midline zone is one
 * ring.
 */
export function zoneRing({ landmarks, form: { kx, ky } }: Face, id: FaceZone): Ring {
  const off: Off = ([x, y], dx, dy) => [x + Math.sign(x) * dx * kx, y + dy * ky]
  const { left, right, mid: m } = landmarks
  const name = plainZone(id)
  if (isSide(name)) return curve(SIDE_SHAPES[name](id.startsWith('left') ? left : right, off))
  if (!isMid(name)) throw new RangeError(`There is no zone "${id}" on a face.`)
  const half = (s: SideOf): Point[] =>
    MID_SHAPES[name]({ s, m, off, ky, beside: (dx, y) => [Math.sign(s.pupil[0]) * dx * kx, y] })
  return curve([...half(right), ...half(left).reverse()])
}

/** What paint must keep off. */
export type KeptKind = 'eye' | 'nostril' | 'mouth' | 'hair'

/** A part of the face that paint must keep off; its side as that of the zones, null where it has none. */
export interface KeptPart {
  readonly kind: KeptKind
  readonly side: 'left' | 'right' | null
}

/** A place that paint must keep off: its outline, mm. */
export interface KeepOut extends KeptPart {
  readonly ring: Ring
}

/** The side that a person calls theirs: what lies left in the picture is on their right. */
const THEIR_SIDE = { left: 'right', right: 'left' } as const
/** What a part of the face is called, by the person's own side. */
export const keptWords = ({ kind, side }: KeptPart): string => (side ? `${THEIR_SIDE[side]} ${kind}` : kind)

/**
 * Where paint must not go on a face: the open eyes, nostrils and the mouth, as rings in mm. Hair is added by
 * the ground.
 */
export function keepOutsOf({ landmarks, form: { kx, ky } }: Face): KeepOut[] {
  const eye = (s: SideOf): Ring => {
    const mid: Point = [(s.innerEye[0] + s.outerEye[0]) / 2, (s.innerEye[1] + s.outerEye[1]) / 2]
    const k = Math.abs(s.outerEye[0] - s.innerEye[0]) / 28.5
    return curve([s.innerEye, [mid[0], mid[1] - 5.5 * k], s.outerEye, [mid[0], mid[1] + 4 * k]])
  }
  const nostril = (s: SideOf): Ring => {
    const [x, y] = [s.noseWing[0] * 0.46, landmarks.mid.noseBase[1] - ky]
    return curve([
      [x - 4 * kx, y],
      [x, y - 2 * ky],
      [x + 4 * kx, y],
      [x, y + 2 * ky],
    ])
  }
  const { upperLip, lowerLip } = landmarks.mid
  const { left, right } = landmarks
  return [
    { kind: 'eye', side: 'left', ring: eye(left) },
    { kind: 'eye', side: 'right', ring: eye(right) },
    { kind: 'nostril', side: 'left', ring: nostril(left) },
    { kind: 'nostril', side: 'right', ring: nostril(right) },
    { kind: 'mouth', side: null, ring: curve([left.mouthCorner, upperLip, right.mouthCorner, lowerLip]) },
  ]
}

/** The red of the upper and of the lower lip, mm. */
export function lipRings({ landmarks: face, form: { ky } }: Face): { upper: Ring; lower: Ring } {
  const { upperLip, mouth, lowerLip } = face.mid
  const l = face.left.mouthCorner
  const r = face.right.mouthCorner
  // Along from the middle of the mouth (0) to a corner (1), beside the midline at that height.
  const half = (corner: Point, t: number, middle: Point, dy: number): Point => [
    middle[0] + (corner[0] - middle[0]) * t,
    middle[1] + dy * ky,
  ]
  const ring = (points: readonly Point[]): Ring => Float64Array.from(smoothThrough(points, true))
  return {
    upper: ring([
      l,
      half(l, 0.62, upperLip, 2.6),
      half(l, 0.2, upperLip, -0.6),
      half(l, 0, upperLip, 1.1),
      half(r, 0.2, upperLip, -0.6),
      half(r, 0.62, upperLip, 2.6),
      r,
      half(r, 0.5, mouth, 0.2),
      half(l, 0, mouth, 0.8),
      half(l, 0.5, mouth, 0.2),
    ]),
    lower: ring([
      l,
      half(l, 0.5, mouth, 0.1),
      half(l, 0, mouth, 0.6),
      half(r, 0.5, mouth, 0.1),
      r,
      half(r, 0.66, lowerLip, -3),
      half(r, 0.3, lowerLip, -0.2),
      half(l, 0, lowerLip, 0.3),
      half(l, 0.3, lowerLip, -0.2),
      half(l, 0.66, lowerLip, -3),
    ]),
  }
}
