import { z } from 'zod'
import { paintRefSchema, stepBase } from '../../document'

export const lipsSchema = z.strictObject({
  kind: z.literal('lips'),
  ...stepBase,
  which: z.enum(['both', 'upper', 'lower'], { error: 'must be both, upper or lower' }),
  colours: z
    .array(paintRefSchema)
    .min(1, 'must have at least one colour')
    .max(2, 'must have at most two colours'),
  tool: z.enum(['cotton bud', 'own brush'], { error: 'must be cotton bud or own brush' }),
})
export type LipsStep = z.infer<typeof lipsSchema>
