import type { Point } from '../geometry'

/** Landmarks that come in pairs, one on each side of the face. */
export const SIDE_LANDMARKS = ['browStart', 'browPeak', 'browTail', 'innerEye', 'outerEye', 'pupil', 'noseWing', 'mouthCorner', 'cheekbone', 'earFront', 'temple'] as const
/** Landmarks on the midline. */
export const MID_LANDMARKS = ['hairline', 'nasion', 'noseTip', 'noseBase', 'upperLip', 'mouth', 'lowerLip', 'chin'] as const

export type SideLandmark = typeof SIDE_LANDMARKS[number]
export type MidLandmark = typeof MID_LANDMARKS[number]
export type Side = 'left' | 'right'

/** Where the features of a face are, in the skin frame (mm). `right` is the right of the picture, the client's left (+x). */
export interface Landmarks {
  readonly mid: Readonly<Record<MidLandmark, Point>>
  readonly left: Readonly<Record<SideLandmark, Point>>
  readonly right: Readonly<Record<SideLandmark, Point>>
}

/**
 * The middle of the adult means for men and women: eye corners en-en 32, ex-ex 89 (pupils 63 apart), nose width 33, mouth 52, forehead
 * tr-n 65, face height n-gn 118 mm (Farkas 1994, Anthropometry of the Head and Face; from memory). Heights of brows and temples: common practice.
 */
const ADULT_RIGHT: Record<SideLandmark, Point> = {
  browStart: [11, -10], browPeak: [34, -17.5], browTail: [53, -9.5],
  innerEye: [16, 7], outerEye: [44.5, 4.5], pupil: [31.5, 4.8],
  noseWing: [16.5, 47.5], mouthCorner: [26, 74], cheekbone: [56, 27], earFront: [70, 14], temple: [61, -34],
}

const ADULT_MID: Record<MidLandmark, Point> = {
  hairline: [0, -65], nasion: [0, 0], noseTip: [0, 45], noseBase: [0, 53.5], upperLip: [0, 67], mouth: [0, 74], lowerLip: [0, 83], chin: [0, 118],
}

const flip = (side: Record<SideLandmark, Point>): Record<SideLandmark, Point> =>
  Object.fromEntries(Object.entries(side).map(([name, [x, y]]) => [name, [-x, y]])) as unknown as Record<SideLandmark, Point>

/** The adult face of the first version, even on both sides. */
export const ADULT_FACE: Landmarks = { mid: ADULT_MID, right: ADULT_RIGHT, left: flip(ADULT_RIGHT) }

const WORDS: Record<SideLandmark | MidLandmark, string> = {
  browStart: 'start of the brow', browPeak: 'peak of the brow', browTail: 'tail of the brow', innerEye: 'inner eye corner', outerEye: 'outer eye corner',
  pupil: 'pupil', noseWing: 'nose wing', mouthCorner: 'mouth corner', cheekbone: 'cheekbone', earFront: 'front of the ear', temple: 'temple',
  hairline: 'hairline', nasion: 'bridge of the nose', noseTip: 'tip of the nose', noseBase: 'base of the nose', upperLip: 'upper lip', mouth: 'middle of the mouth', lowerLip: 'lower lip', chin: 'chin',
}

/** A landmark of a face with its name in a painter's words. */
export interface NamedLandmark { readonly name: SideLandmark | MidLandmark, readonly side: Side | 'mid', readonly words: string, readonly at: Point }

/** Every landmark of a face as a list. */
export function landmarkList(face: Landmarks): NamedLandmark[] {
  const list: NamedLandmark[] = MID_LANDMARKS.map(name => ({ name, side: 'mid', words: WORDS[name], at: face.mid[name] }))
  for (const side of ['left', 'right'] as const) {
    for (const name of SIDE_LANDMARKS) list.push({ name, side, words: `${side} ${WORDS[name]}`, at: face[side][name] })
  }
  return list
}
