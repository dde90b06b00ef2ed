import { z } from 'zod'
import { bounded, textSchema } from './parts'

const oneOf = <T extends string>(...words: [T, ...T[]]) =>
  z.enum(words, { error: `must be ${words.join(' or ')}` })

/** What a person was asked before painting; by ticket number only. */
export const sittingSchema = z.strictObject({
  ticket: textSchema(20),
  /** Years; null when nobody asked. The face's own age only shapes it. */
  age: bounded(0, 120).nullable(),
  allergies: oneOf('not asked', 'none', 'some'),
  eyes: oneOf('not asked', 'yes', 'no'),
  lips: oneOf('not asked', 'yes', 'no'),
  skin: oneOf('not asked', 'sound', 'broken or sore'),
  patch: oneOf('none', 'clear', 'reacted'),
})
export type Sitting = z.infer<typeof sittingSchema>

/** Nobody has been asked yet. */
export const NOT_ASKED: Sitting = {
  ticket: '',
  age: null,
  allergies: 'not asked',
  eyes: 'not asked',
  lips: 'not asked',
  skin: 'not asked',
  patch: 'none',
}

/** The age that counts for cautions: the person's, else the one the face was made for. */
export const ageOf = (look: { sitting: Sitting; skin: { age: number } }): number =>
  look.sitting.age ?? look.skin.age
