import type { FaceMeasures } from './measures'

/** What faces of one age and build still differ in, as measures. */
export interface FaceTraits {
  /** From wing to wing, mm. */
  readonly noseWidth: number
  /** How far the bridge of the nose stands out between the eyes, mm. */
  readonly noseBridge: number
  /** Height of both lips in the middle, mm. */
  readonly lips: number
  /** How wide the eyes stand open, mm. */
  readonly eyeOpening: number
  /** How much higher the outer eye corners lie than the inner ones, degrees; below 0 lower. */
  readonly eyeTilt: number
  /** How much of the crease over the eye the upper lid hides, and of its inner corner, %. */
  readonly lidFold: number
  /** Thickness of the brows where they are thickest, mm. */
  readonly brows: number
  /** Width of the lower jaw at the height of the mouth, mm. */
  readonly jaw: number
}

/** What each is called, and within which bounds faces lie from three years on (common practice, wide). */
export const TRAIT_BOUNDS: Readonly<
  Record<keyof FaceTraits, { words: string; unit: string; least: number; most: number; step: number }>
> = {
  noseWidth: { words: 'nose width', unit: 'mm', least: 20, most: 48, step: 0.5 },
  noseBridge: { words: 'bridge of the nose', unit: 'mm', least: 0, most: 9, step: 0.25 },
  lips: { words: 'height of the lips', unit: 'mm', least: 7, most: 28, step: 0.5 },
  eyeOpening: { words: 'eye opening', unit: 'mm', least: 5.5, most: 13, step: 0.25 },
  eyeTilt: { words: 'eye tilt', unit: '°', least: -6, most: 14, step: 0.5 },
  lidFold: { words: 'lid fold', unit: '%', least: 0, most: 100, step: 5 },
  brows: { words: 'brow thickness', unit: 'mm', least: 2, most: 12, step: 0.5 },
  jaw: { words: 'jaw width', unit: 'mm', least: 64, most: 136, step: 1 },
}
export const TRAITS = Object.keys(TRAIT_BOUNDS) as (keyof FaceTraits)[]

/** Traits of the mean adult (common practice). */
export const MEAN_TRAITS: FaceTraits = {
  noseWidth: 33,
  noseBridge: 3.6,
  lips: 16,
  eyeOpening: 9.2,
  eyeTilt: 4.5,
  lidFold: 15,
  brows: 6,
  jaw: 108,
}

/**
 * The traits of a face that nobody looked at closer, from its other measures: a child's eyes stand open wider,
 * its brows are thinner and its nose has hardly a bridge (common practice).
 * @param young 1 at three years, 0 when grown
 * @param old 1 from eighty on, 0 up to forty-five
 * @param scale breadth and height against the mean adult, 1 = equal
 */
export function traitsAt(
  m: FaceMeasures,
  young: number,
  old: number,
  { kx, ky }: { readonly kx: number; readonly ky: number },
): FaceTraits {
  const eye = (m.outerEyes - m.innerEyes) / 57
  return {
    noseWidth: m.noseWidth,
    noseBridge: MEAN_TRAITS.noseBridge * (0.35 + 0.65 * kx) * (1 - 0.8 * young),
    lips: MEAN_TRAITS.lips * ky * (1 - 0.26 * old) * (1 + 0.06 * young),
    eyeOpening: MEAN_TRAITS.eyeOpening * eye * (1 + 0.4 * young) * (1 - 0.16 * old),
    eyeTilt: MEAN_TRAITS.eyeTilt - 2.5 * old,
    lidFold: Math.min(100, MEAN_TRAITS.lidFold + 20 * old),
    brows: MEAN_TRAITS.brows * kx * (1 - 0.3 * young) * (1 - 0.15 * old),
    jaw: MEAN_TRAITS.jaw * kx,
  }
}

/** What is wrong with some traits, one sentence each; none when such a face can be. */
export function traitProblems(traits: Partial<FaceTraits>): string[] {
  return TRAITS.flatMap(name => {
    const value = traits[name]
    const { words, unit, least, most } = TRAIT_BOUNDS[name]
    return value === undefined || (value >= least && value <= most)
      ? []
      : [`"${words}" of ${value} ${unit} cannot be: it is between ${least} and ${most} ${unit} on a face.`]
  })
}

/** Faces to begin with, each by the traits in which it differs, against those of its age and build. */
const KINDS: readonly Readonly<Partial<Record<keyof FaceTraits, number>>>[] = [
  {},
  { noseWidth: 1.22, noseBridge: 0.45, lips: 1.42, eyeOpening: 1.02, brows: 0.95, jaw: 1.02 },
  {
    noseWidth: 1.06,
    noseBridge: 0.4,
    lips: 1.02,
    eyeOpening: 0.8,
    eyeTilt: 8,
    lidFold: 90,
    brows: 0.85,
    jaw: 1.06,
  },
  {
    noseWidth: 1.0,
    noseBridge: 1.55,
    lips: 1.12,
    eyeOpening: 1.12,
    eyeTilt: 5,
    lidFold: 10,
    brows: 1.5,
    jaw: 0.97,
  },
  { noseWidth: 0.9, noseBridge: 1.3, lips: 0.78, eyeOpening: 0.94, eyeTilt: 2, brows: 0.75, jaw: 0.94 },
  { noseWidth: 1.28, noseBridge: 0.75, lips: 1.24, eyeOpening: 0.98, eyeTilt: 4, brows: 1.35, jaw: 1.1 },
  {
    noseWidth: 1.1,
    noseBridge: 0.9,
    lips: 1.15,
    eyeOpening: 0.9,
    eyeTilt: 7,
    lidFold: 55,
    brows: 1.05,
    jaw: 1.08,
  },
  {
    noseWidth: 1.08,
    noseBridge: 1.2,
    lips: 1.3,
    eyeOpening: 1.16,
    eyeTilt: 3.5,
    lidFold: 20,
    brows: 1.25,
    jaw: 0.93,
  },
]

/** How many faces there are to begin with. */
export const FACES_TO_BEGIN = KINDS.length

/**
 * The traits of one of the faces to begin with.
 * @param usual those of the face's age and build
 */
export function traitsToBegin(n: number, usual: FaceTraits): Partial<FaceTraits> {
  const given = KINDS[((n % KINDS.length) + KINDS.length) % KINDS.length]!
  return Object.fromEntries(
    TRAITS.filter(name => given[name] !== undefined).map(name => {
      const { least, most, step } = TRAIT_BOUNDS[name]
      // Tilt and fold are given as they are; all else as a share of what is usual.
      const value = name === 'eyeTilt' || name === 'lidFold' ? given[name]! : given[name]! * usual[name]
      return [name, Math.min(most, Math.max(least, Math.round(value / step) * step))]
    }),
  )
}
