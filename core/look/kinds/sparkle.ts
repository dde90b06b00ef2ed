import { z } from 'zod'
import { bounded, sparkColourSchema, textSchema } from '../document'
import { GLITTER_SORTS } from './flakes'
import { GEM_SIZE } from './gem/schema'
import { GEM_CUTS } from './print'

/** As many glitters or gems of their own a painter keeps. */
const MOST_SPARKLES = 60

const named = sparkColourSchema.extend({ name: textSchema(40).min(1, 'must not be empty') })

/** Glitters and gems of the painter's own, beside those that every kit has. */
export const sparklesSchema = z.strictObject({
  glitters: z
    .array(
      named.extend({ sort: z.enum(GLITTER_SORTS, { error: `must be one of ${GLITTER_SORTS.join(', ')}` }) }),
    )
    .max(MOST_SPARKLES, `must not be more than ${MOST_SPARKLES}`),
  gems: z
    .array(
      named.omit({ flake: true }).extend({
        cut: z.enum(GEM_CUTS, { error: `must be one of ${GEM_CUTS.join(', ')}` }),
        size: bounded(...GEM_SIZE),
      }),
    )
    .max(MOST_SPARKLES, `must not be more than ${MOST_SPARKLES}`),
})
export type Sparkles = z.infer<typeof sparklesSchema>
export type OwnGlitter = Sparkles['glitters'][number]
export type OwnGem = Sparkles['gems'][number]
export const NO_SPARKLES: Sparkles = { glitters: [], gems: [] }
