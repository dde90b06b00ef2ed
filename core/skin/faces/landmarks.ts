import type { Point } from '../../geometry'

/** Landmarks that come in pairs, one on each side of the face. */
const SIDE_LANDMARKS = [
  'browStart',
  'browPeak',
  'browTail',
  'innerEye',
  'outerEye',
  'pupil',
  'noseWing',
  'mouthCorner',
  'cheekbone',
  'earFront',
  'temple',
] as const
/** Landmarks on the midline. */
const MID_LANDMARKS = [
  'hairline',
  'nasion',
  'noseTip',
  'noseBase',
  'upperLip',
  'mouth',
  'lowerLip',
  'chin',
] as const

export type SideLandmark = (typeof SIDE_LANDMARKS)[number]
export type MidLandmark = (typeof MID_LANDMARKS)[number]
export type Side = 'left' | 'right'

/** A side of the picture as a person's own: who sits opposite has their right on the picture's left. */
export const ownSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/**
 * Where the features of a face are, in the skin frame (mm). `right` is the right of the picture, the client's
 * left (+x).
 */
export interface Landmarks {
  readonly mid: Readonly<Record<MidLandmark, Point>>
  readonly left: Readonly<Record<SideLandmark, Point>>
  readonly right: Readonly<Record<SideLandmark, Point>>
}

const WORDS: Record<SideLandmark | MidLandmark, string> = {
  browStart: 'start of the brow',
  browPeak: 'peak of the brow',
  browTail: 'tail of the brow',
  innerEye: 'inner eye corner',
  outerEye: 'outer eye corner',
  pupil: 'pupil',
  noseWing: 'nose wing',
  mouthCorner: 'mouth corner',
  cheekbone: 'cheekbone',
  earFront: 'front of the ear',
  temple: 'temple',
  hairline: 'hairline',
  nasion: 'bridge of the nose',
  noseTip: 'tip of the nose',
  noseBase: 'base of the nose',
  upperLip: 'upper lip',
  mouth: 'middle of the mouth',
  lowerLip: 'lower lip',
  chin: 'chin',
}

/** The landmarks of one side, each put through a map. */
export function mapSide(
  marks: Readonly<Record<SideLandmark, Point>>,
  map: (at: Point) => Point,
): Record<SideLandmark, Point> {
  const entries = SIDE_LANDMARKS.map(name => [name, map(marks[name])] as const)
  return Object.fromEntries(entries) as Record<SideLandmark, Point>
}

/** A landmark with its name in a painter's words: "left peak of the brow", left being the person's own. */
export interface NamedLandmark {
  readonly id: string
  readonly side: Side | 'mid'
  readonly words: string
  readonly at: Point
}

/** Every landmark of a face as a list. */
export function landmarkList(face: Landmarks): NamedLandmark[] {
  const list: NamedLandmark[] = MID_LANDMARKS.map(name => ({
    id: `mid.${name}`,
    side: 'mid',
    words: WORDS[name],
    at: face.mid[name],
  }))
  for (const side of ['left', 'right'] as const) {
    for (const name of SIDE_LANDMARKS)
      list.push({
        id: `${side}.${name}`,
        side,
        words: `${ownSide(side)} ${WORDS[name]}`,
        at: face[side][name],
      })
  }
  return list
}

/** The same landmarks with each put through `move`. */
export function movedLandmarks(face: Landmarks, move: (id: string, at: Point) => Point): Landmarks {
  const group = <K extends string>(name: string, marks: Readonly<Record<K, Point>>): Record<K, Point> =>
    Object.fromEntries(
      Object.entries<Point>(marks).map(([k, at]) => [k, move(`${name}.${k}`, at)]),
    ) as Record<K, Point>
  return { mid: group('mid', face.mid), left: group('left', face.left), right: group('right', face.right) }
}

/**
 * Landmarks that must keep their order: the first lies nearer the midline (`in`) or higher (`up`) than the
 * second, by at least some mm.
 */
const ORDER: readonly (readonly [
  'in' | 'up',
  SideLandmark | MidLandmark,
  SideLandmark | MidLandmark,
  number,
])[] = [
  ['in', 'browStart', 'browPeak', 4],
  ['in', 'browPeak', 'browTail', 4],
  ['in', 'innerEye', 'pupil', 4],
  ['in', 'pupil', 'outerEye', 4],
  ['in', 'outerEye', 'earFront', 6],
  ['in', 'browStart', 'earFront', 20],
  ['in', 'noseWing', 'cheekbone', 8],
  ['in', 'mouthCorner', 'earFront', 8],
  ['in', 'browPeak', 'temple', 3],
  ['up', 'hairline', 'browPeak', 10],
  ['up', 'browPeak', 'pupil', 6],
  ['up', 'browStart', 'innerEye', 5],
  ['up', 'browTail', 'outerEye', 4],
  ['up', 'temple', 'browTail', 3],
  ['up', 'pupil', 'noseWing', 10],
  ['up', 'outerEye', 'cheekbone', 5],
  ['up', 'cheekbone', 'mouthCorner', 8],
  ['up', 'noseWing', 'mouthCorner', 6],
  ['up', 'hairline', 'nasion', 15],
  ['up', 'nasion', 'noseTip', 12],
  ['up', 'noseTip', 'noseBase', 2],
  ['up', 'noseBase', 'upperLip', 3],
  ['up', 'upperLip', 'mouth', 1.5],
  ['up', 'mouth', 'lowerLip', 1.5],
  ['up', 'lowerLip', 'chin', 8],
  ['up', 'mouthCorner', 'chin', 10],
]
/** How near the midline a landmark of a side may come, mm. */
const INNERMOST = 2
/** How far off the middle a midline landmark may lie, mm. */
const OFF_MIDDLE = 10

/**
 * The first thing that is wrong with where some landmarks lie, as a sentence; null when such a face can be.
 */
export function landmarkProblem(face: Landmarks): string | null {
  for (const name of MID_LANDMARKS)
    if (Math.abs(face.mid[name][0]) > OFF_MIDDLE)
      return `The ${WORDS[name]} cannot lie more than ${OFF_MIDDLE} mm off the midline.`
  for (const side of ['left', 'right'] as const) {
    const out = side === 'right' ? 1 : -1
    const of = (name: SideLandmark | MidLandmark): { at: Point; words: string } =>
      name in face.mid
        ? { at: face.mid[name as MidLandmark], words: WORDS[name] }
        : { at: face[side][name as SideLandmark], words: `${ownSide(side)} ${WORDS[name]}` }
    for (const name of SIDE_LANDMARKS)
      if (out * face[side][name][0] < INNERMOST) return `The ${side} ${WORDS[name]} cannot cross the midline.`
    for (const [way, first, second, gap] of ORDER) {
      const a = of(first)
      const b = of(second)
      const room = way === 'in' ? out * (b.at[0] - a.at[0]) : b.at[1] - a.at[1]
      if (room < gap)
        return `The ${a.words} must stay at least ${gap} mm ${way === 'in' ? 'nearer the midline than' : 'above'} the ${b.words}.`
    }
  }
  return null
}
