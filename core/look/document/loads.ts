import { z } from 'zod'
import { bounded, cakeRefSchema, paintRefSchema } from './parts'

/** A split cake, or only some of its strips in the order in which they lie on the tool; null for all. */
export const cakeLoadSchema = z
  .strictObject({
    kind: z.literal('cake'),
    cake: cakeRefSchema,
    strips: z.array(z.int().min(0).max(11)).min(1, 'must keep at least one strip').max(12).nullable(),
  })
  .refine(({ cake, strips }) => !strips || strips.every(n => n < cake.strips.length), {
    error: 'must name strips that the cake has',
    path: ['strips'],
  })

/** How much of a tool is loaded with its second colour, 0 to 1. */
const share = bounded(0.05, 0.95)

/** What a sponge or a soft brush is loaded with. */
export const toolLoadSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('one'), paint: paintRefSchema }),
    cakeLoadSchema,
    /** The tips of the tool, or one edge of it, in a second colour. */
    z.strictObject({ kind: z.literal('double'), first: paintRefSchema, second: paintRefSchema, share }),
    /** Two paints stirred together on the tool. */
    z.strictObject({ kind: z.literal('mixed'), first: paintRefSchema, second: paintRefSchema, share }),
  ],
  { error: 'must be one colour, a split cake, a second colour on the edge, or two colours mixed' },
)
export type ToolLoad = z.infer<typeof toolLoadSchema>
