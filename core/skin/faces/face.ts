import { mirrored, radians, type Point } from '../../geometry'
import type { FaceCanvas, TapeMeasures } from '../canvas'
import { monotoneCubic } from '../profile'
import { landmarkProblem, mapSide, movedLandmarks, type Landmarks, type SideLandmark } from './landmarks'
import {
  GROWN,
  heightGrown,
  measuresAt,
  skullGrown,
  tapeProblems,
  widthGrown,
  YOUNGEST,
  type FaceMeasures,
} from './measures'
import { MEAN_TRAITS, traitsAt, type FaceTraits } from './traits'

/** What a face looks like besides its landmarks. */
export interface Form {
  /** 0 = as of three years, 1 = grown. */
  readonly grown: number
  /** 0 = up to 45 years, 1 = from 80 on: folds, and features that have sunk a little. */
  readonly old: number
  /** Breadths and heights against the mean adult, 1 = equal; the skull has its own. */
  readonly kx: number
  readonly ky: number
  readonly skullWidth: number
  readonly skullHeight: number
  /** Height of the skin's upper end (under the hair) and of its lower end, mm. */
  readonly crown: number
  readonly foot: number
  /** The height on the mean adult face that corresponds to a height of this one, and the reverse; mm. */
  readonly toMean: (y: number) => number
  /** How much wider than the mean adult it is at a height of the mean adult. */
  readonly wide: (ym: number) => number
  readonly fromMean: (y: number) => number
  /** Whether the skull is seen as it is: with hair, the skin goes on under it as high as the hair stands. */
  readonly bald: boolean
  readonly traits: FaceTraits
}

/** A face: where its features are, and its form. */
export interface Face {
  readonly landmarks: Landmarks
  readonly form: Form
  readonly measures: FaceMeasures
}

/**
 * The mean adult: the middle of the means for men and women, rounded; brows, temples, ears and lips by common
 * practice.
 */
export const MEAN_SIDE: Record<SideLandmark, Point> = {
  browStart: [11, -11.5],
  browPeak: [34, -17.5],
  browTail: [53, -9.5],
  innerEye: [16, 7],
  outerEye: [44.5, 4.5],
  pupil: [31.5, 4.8],
  noseWing: [16.5, 47.5],
  mouthCorner: [26, 74],
  cheekbone: [56, 27],
  earFront: [70, 14],
  temple: [61, -34],
}
const MEAN_MID = {
  hairline: -65,
  nasion: 0,
  noseTip: 45,
  noseBase: 53.5,
  upperLip: 67,
  mouth: 74,
  lowerLip: 83,
  chin: 118,
} as const
export const MEAN_CROWN = -121
/** Where a skull ends that no hair lies on (vertex to nasion; Farkas 1994, from memory), mm. */
const BALD_CROWN = -111.5
export const MEAN_FOOT = 120.5
const MEAN_WIDTH = 133.5

/** The tape measures that a face of some age and build would give. */
export function tapeOf({ landmarks: { mid, left, right } }: Face): TapeMeasures {
  const brow = (left.browPeak[1] + right.browPeak[1]) / 2
  const tenth = (v: number) => Math.round(v * 10) / 10
  return {
    temples: tenth(right.temple[0] - left.temple[0]),
    hairlineToBrow: tenth(brow - mid.hairline[1]),
    browToChin: tenth(mid.chin[1] - brow),
    innerEyes: tenth(right.innerEye[0] - left.innerEye[0]),
    mouth: tenth(right.mouthCorner[0] - left.mouthCorner[0]),
  }
}

/**
 * The face of a canvas: from age and build, from five tape measures where there are some, with single
 * landmarks moved after that.
 * Throws RangeError with a sentence when such a face cannot be.
 * @param bald whether its skull is seen as it is, without hair
 */
export function faceOf(
  canvas: Pick<FaceCanvas, 'build' | 'measures' | 'nudges' | 'traits'>,
  age: number,
  bald = false,
): Face {
  const traits = canvas.traits ?? {}
  let face = fromMeasures(measuresAt(age, canvas.build), age, traits)
  if (canvas.measures) face = fromTape(face, canvas.measures, age, traits)
  const moved = movedLandmarks(face.landmarks, (id, [x, y]) => {
    const by = canvas.nudges[id]
    return by ? [x + by[0], y + by[1]] : [x, y]
  })
  const wrong = landmarkProblem(moved)
  if (wrong) throw new RangeError(wrong)
  return { ...face, landmarks: moved, form: formed({ ...face.form, bald }, moved) }
}

/** A face from breadths and heights; what they leave open keeps the proportions of the mean adult. */
function fromMeasures(m: FaceMeasures, age: number, seen: Partial<FaceTraits>): Face {
  const kx = m.faceWidth / MEAN_WIDTH
  const ky = m.faceHeight / MEAN_MID.chin
  const grown = Math.min(1, (Math.min(age, GROWN) - YOUNGEST) / (GROWN - YOUNGEST))
  const old = Math.min(1, Math.max(0, (age - OLD_FROM) / (OLD_BY - OLD_FROM)))
  const skullWidth = ((0.45 * skullGrown(age)) / widthGrown(age) + 0.55) * kx
  const skullHeight = (((0.55 * skullGrown(age)) / heightGrown(age) + 0.45) * (ky + m.forehead / 65)) / 2
  const traits = { ...traitsAt(m, 1 - grown, old, { kx, ky }), ...seen }
  const landmarks = landmarksFrom(m, traits, { kx, ky, skullWidth, young: 1 - grown })
  const plain = { crown: 0, foot: 0, toMean: same, fromMean: same, wide: () => 1, bald: false, traits }
  const form = formed({ grown, old, kx, ky, skullWidth, skullHeight, ...plain }, landmarks)
  return { measures: m, landmarks, form }
}
const same = (y: number): number => y
/** Years at which a face begins to look old, and at which it does (common practice). */
const OLD_FROM = 45
const OLD_BY = 80

/** The landmarks of an even face from its measures. */
function landmarksFrom(
  m: FaceMeasures,
  traits: FaceTraits,
  { kx, ky, skullWidth, young }: { kx: number; ky: number; skullWidth: number; young: number },
): Landmarks {
  const nose = m.noseHeight / MEAN_MID.noseBase
  const brow = m.outerEyes / 89
  // Below the nose, what is left of the face's height is shared as on the mean adult.
  const below = (y: number) =>
    m.noseHeight +
    ((y - MEAN_MID.noseBase) * (m.faceHeight - m.noseHeight)) / (MEAN_MID.chin - MEAN_MID.noseBase)
  const lips = below(MEAN_MID.mouth)
  const inner = 6.4 * ky + 0.6
  const outer = inner - ((m.outerEyes - m.innerEyes) / 2) * Math.tan(radians(traits.eyeTilt))
  const side: Record<SideLandmark, Point> = {
    browStart: [Math.max(7, m.innerEyes / 2 - 5 * kx), -11.5 * ky * (1 + 0.3 * young)],
    browPeak: [34 * brow, -17.5 * ky * (1 + 0.12 * young)],
    browTail: [53 * brow, -9.5 * ky * (1 + 0.35 * young)],
    innerEye: [m.innerEyes / 2, inner],
    outerEye: [m.outerEyes / 2, outer],
    pupil: [m.pupils / 2, (inner + outer) / 2 - 0.8 * ky],
    noseWing: [traits.noseWidth / 2, 47.5 * nose],
    mouthCorner: [m.mouth / 2, lips],
    cheekbone: [56 * kx, 27 * ky],
    earFront: [70 * kx, 14 * ky],
    temple: [(61 * (kx + skullWidth)) / 2, (-34 * m.forehead) / 65],
  }
  return {
    right: side,
    left: mapSide(side, mirrored),
    mid: {
      hairline: [0, -m.forehead],
      nasion: [0, 0],
      noseTip: [0, MEAN_MID.noseTip * nose],
      noseBase: [0, m.noseHeight],
      upperLip: [0, lips - 0.44 * traits.lips],
      mouth: [0, lips],
      lowerLip: [0, lips + 0.56 * traits.lips],
      chin: [0, m.faceHeight],
    },
  }
}

/** The parts of a form that follow from where the landmarks lie. */
function formed(form: Form, { mid, left, right }: Landmarks): Form {
  const brow = (left.browPeak[1] + right.browPeak[1]) / 2
  const foot = mid.chin[1] + 2.5 * form.ky
  const crown = Math.min((form.bald ? BALD_CROWN : MEAN_CROWN) * form.skullHeight, mid.hairline[1] - 38)
  const rows = [
    [MEAN_CROWN, crown],
    [MEAN_MID.hairline, mid.hairline[1]],
    [-17.5, brow],
    [0, mid.nasion[1]],
    [MEAN_MID.noseBase, mid.noseBase[1]],
    [MEAN_MID.mouth, mid.mouth[1]],
    [MEAN_MID.chin, mid.chin[1]],
    [MEAN_FOOT, foot],
  ] as const
  // Past the ends the map goes on straight, so that it can be turned round everywhere.
  const ends = (rows: readonly (readonly [number, number])[]) => {
    const f = monotoneCubic(rows)
    const [x0, y0] = rows[0]!
    const [x1, y1] = rows.at(-1)!
    return (x: number) => (x < x0 ? y0 + (x - x0) : x > x1 ? y1 + (x - x1) : f(x))
  }
  const wide = (ym: number) => {
    const t = Math.min(1, Math.max(0, (ym + 30) / 70))
    const low = t * t * (3 - 2 * t)
    // A child's cheeks are full, over a small chin.
    const young = 1 - form.grown
    const cheeks =
      1 + young * (0.075 * Math.exp(-(((ym - 60) / 24) ** 2)) - 0.075 * Math.exp(-(((ym - 106) / 16) ** 2)))
    const jaw = 1 + (form.traits.jaw / (MEAN_TRAITS.jaw * form.kx) - 1) * Math.exp(-(((ym - 86) / 26) ** 2))
    return jaw * (form.skullWidth + (form.kx - form.skullWidth) * low) * cheeks
  }
  return {
    ...form,
    crown,
    foot,
    wide,
    fromMean: ends(rows),
    toMean: ends(rows.map(([a, b]) => [b, a] as const)),
  }
}

/**
 * A face stretched to five tape measures; everything between them keeps its proportions. Throws RangeError
 * for measures that cannot be.
 */
function fromTape(face: Face, tape: TapeMeasures, age: number, seen: Partial<FaceTraits>): Face {
  const wrong = tapeProblems(tape)
  if (wrong.length) throw new RangeError(wrong.join(' '))
  const was = tapeOf(face)
  const m = face.measures
  const wide = tape.temples / was.temples
  const { right } = face.landmarks
  // Brow to chin covers the brow's height over the nasion too; both parts grow alike.
  const tall = tape.browToChin / was.browToChin
  const brow = right.browPeak[1] * tall
  const inner = tape.innerEyes / was.innerEyes
  const next = fromMeasures(
    {
      faceWidth: m.faceWidth * wide,
      faceHeight: m.faceHeight * tall,
      forehead: tape.hairlineToBrow - brow,
      innerEyes: tape.innerEyes,
      outerEyes: m.outerEyes * wide,
      pupils: (m.pupils * (wide + inner)) / 2,
      noseWidth: m.noseWidth * wide,
      noseHeight: m.noseHeight * tall,
      mouth: tape.mouth,
    },
    age,
    seen,
  )
  // What fromMeasures gave brow and temples by proportion is put exactly where the tape says.
  const dy = brow - next.landmarks.right.browPeak[1]
  const dx = tape.temples / 2 - next.landmarks.right.temple[0]
  const fixed = movedLandmarks(next.landmarks, (id, [x, y]) => {
    if (id.includes('.brow')) return [x, y + dy]
    return id.endsWith('.temple') ? [x + Math.sign(x) * dx, y] : [x, y]
  })
  return { ...next, landmarks: fixed, form: formed(next.form, fixed) }
}
