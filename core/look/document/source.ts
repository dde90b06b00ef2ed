import { z } from 'zod'
import { idSchema, zoneSchema } from './parts'

/** What a line goes around: the print of an earlier step, some openings of it, several steps, or zones. */
export const sourceSchema = z.discriminatedUnion(
  'use',
  [
    z.strictObject({
      use: z.literal('step'),
      step: idSchema,
      openings: z.array(z.int().min(0)).min(1, 'must choose at least one opening').max(400).nullable(),
    }),
    /** Several earlier steps as one shape. */
    z.strictObject({
      use: z.literal('steps'),
      steps: z.array(idSchema).min(2, 'must name at least two steps').max(20),
    }),
    z.strictObject({
      use: z.literal('zones'),
      zones: z.array(zoneSchema).min(1, 'must name at least one zone').max(20),
    }),
  ],
  { error: 'must name a step, several steps or zones' },
)
export type Source = z.infer<typeof sourceSchema>
