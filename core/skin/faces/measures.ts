import { monotoneCubic } from '../profile'
import type { Build, TapeMeasures } from '../canvas'

/**
 * Adult means for men and women, mm (Farkas 1994, Anthropometry of the Head and Face; from memory): face
 * width zy-zy, face height n-gn, forehead tr-n, inner and outer eye corners, nose width and height, mouth
 * width.
 */
const ADULT_MEANS: Readonly<Record<Build, FaceMeasures>> = {
  broad: {
    faceWidth: 137,
    faceHeight: 124.7,
    forehead: 67.1,
    innerEyes: 33.3,
    outerEyes: 91.2,
    pupils: 62.3,
    noseWidth: 34.9,
    noseHeight: 54.8,
    mouth: 54.5,
  },
  fine: {
    faceWidth: 130,
    faceHeight: 111.4,
    forehead: 63,
    innerEyes: 31.8,
    outerEyes: 87.8,
    pupils: 58.9,
    noseWidth: 31.4,
    noseHeight: 50.6,
    mouth: 50.2,
  },
}

/** Breadths and heights of a face, mm. */
export interface FaceMeasures {
  readonly faceWidth: number
  readonly faceHeight: number
  readonly forehead: number
  readonly innerEyes: number
  readonly outerEyes: number
  readonly pupils: number
  readonly noseWidth: number
  readonly noseHeight: number
  readonly mouth: number
}

export const YOUNGEST = 3
export const GROWN = 18
export const OLDEST = 99

/** Fractions of the adult value reached at an age (from memory, coarse). */
const grown = (values: readonly [number, number, number, number, number]) =>
  monotoneCubic([3, 6, 10, 14, 18].map((age, i) => [age, values[i]!] as const))
export const widthGrown = grown([0.8, 0.85, 0.9, 0.96, 1])
export const heightGrown = grown([0.72, 0.8, 0.87, 0.95, 1])
const innerEyesGrown = grown([0.88, 0.92, 0.95, 0.98, 1])
/** Eyes are nearly grown before the face is (from memory, coarse). */
const outerEyesGrown = grown([0.84, 0.893, 0.935, 0.975, 1])
/** So is the forehead, over which the skull grows early (from memory, coarse). */
const foreheadGrown = grown([0.79, 0.85, 0.9, 0.96, 1])
/** The skull runs ahead of the face (common practice, no source). */
export const skullGrown = grown([0.91, 0.94, 0.965, 0.985, 1])

/**
 * Distance between the pupils at an age, mm: MacLachlan and Howland 2002 (Ophthalmic Physiol Opt 22:175), for
 * 1 month to 19 years; from memory.
 * Grown people keep the value of 18.3 years, where the women's curve is highest, or of 19 (men).
 */
export function pupilDistance(age: number, build: Build): number {
  const a = Math.min(age, build === 'broad' ? 19 : 18.2)
  return build === 'broad' ? 43.36 + 1.663 * a - 0.034 * a * a : 41.76 + 1.891 * a - 0.052 * a * a
}

/**
 * The measures of a face of some age that nobody measured, mm. Throws RangeError for an age outside 3 to 99.
 */
export function measuresAt(age: number, build: Build): FaceMeasures {
  if (!(age >= YOUNGEST && age <= OLDEST))
    throw new RangeError(`An age of ${age} cannot be: faces are drawn for ${YOUNGEST} to ${OLDEST} years.`)
  const adult = ADULT_MEANS[build]
  const w = widthGrown(age)
  const h = heightGrown(age)
  return {
    faceWidth: adult.faceWidth * w,
    faceHeight: adult.faceHeight * h,
    forehead: adult.forehead * foreheadGrown(age),
    innerEyes: adult.innerEyes * innerEyesGrown(age),
    outerEyes: adult.outerEyes * outerEyesGrown(age),
    pupils: pupilDistance(age, build),
    noseWidth: adult.noseWidth * w,
    noseHeight: adult.noseHeight * h,
    mouth: adult.mouth * w,
  }
}

/** Bounds of each tape measure, mm, over faces from 3 years on (common practice, wide). */
export const TAPE_BOUNDS: Readonly<
  Record<keyof TapeMeasures, { words: string; least: number; most: number }>
> = {
  temples: { words: 'temple to temple', least: 80, most: 165 },
  hairlineToBrow: { words: 'hairline to brow', least: 25, most: 85 },
  browToChin: { words: 'brow to chin', least: 70, most: 165 },
  innerEyes: { words: 'inner eye corner to inner eye corner', least: 20, most: 45 },
  mouth: { words: 'mouth width', least: 25, most: 75 },
}

/** What is wrong with some tape measures, one sentence each; none when such a face can be. */
export function tapeProblems(m: TapeMeasures): string[] {
  const problems: string[] = []
  for (const [name, { words, least, most }] of Object.entries(TAPE_BOUNDS)) {
    const value = m[name as keyof TapeMeasures]
    if (!(value >= least && value <= most))
      problems.push(`"${words}" of ${value} mm cannot be: it is between ${least} and ${most} mm on a face.`)
  }
  if (m.browToChin <= m.mouth)
    problems.push(
      `Brow to chin (${m.browToChin} mm) cannot be shorter than the mouth is wide (${m.mouth} mm): measure both again.`,
    )
  else if (m.browToChin < m.hairlineToBrow * 1.1)
    problems.push(
      `Brow to chin (${m.browToChin} mm) is longer than hairline to brow (${m.hairlineToBrow} mm) on every face: measure both again.`,
    )
  if (m.innerEyes * 2.4 > m.temples)
    problems.push(
      `The inner eye corners (${m.innerEyes} mm apart) are too far apart for temples ${m.temples} mm apart: measure both again.`,
    )
  if (m.mouth > 0.72 * m.temples)
    problems.push(
      `A mouth of ${m.mouth} mm does not fit a face ${m.temples} mm wide at the temples: measure both again.`,
    )
  return problems
}
