import { z } from 'zod'
import {
  bounded,
  cakeRefSchema,
  chargeSchema,
  dabsSchema,
  idSchema,
  paintRefSchema,
  placementSchema,
  registerSchema,
  stepBase,
  textSchema,
  toolSchema,
  wetnessSchema,
} from '../../document'

const openings = z.discriminatedUnion(
  'use',
  [
    z.strictObject({ use: z.literal('all') }),
    z.strictObject({ use: z.literal('group'), name: textSchema(40) }),
    z.strictObject({
      use: z.literal('chosen'),
      numbers: z.array(z.int().min(0)).min(1, 'must choose at least one opening').max(5000),
    }),
  ],
  { error: 'must use all openings, a group or chosen ones' },
)

/** Degrees clockwise from the sheet's up along which strips lie or one colour runs into the other. */
const direction = bounded(-360, 360)
const load = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('one'), paint: paintRefSchema }),
    z.strictObject({ kind: z.literal('cake'), cake: cakeRefSchema, direction }),
    z.strictObject({ kind: z.literal('over'), first: paintRefSchema, second: paintRefSchema, direction }),
  ],
  { error: 'must be one colour, a split cake or a colour over another' },
)

const passSchema = z.strictObject({
  openings,
  load,
  tool: toolSchema,
  wetness: wetnessSchema,
  dabs: dabsSchema,
  /** Share of a full load that the tool has: what is left on it gives a faded print. */
  charge: chargeSchema,
  glitter: z.boolean({ error: 'must be true or false' }),
})
export type Pass = z.infer<typeof passSchema>

export const sheetSchema = z.strictObject({
  kind: z.literal('sheet'),
  ...stepBase,
  stencil: idSchema,
  ...placementSchema.shape,
  register: registerSchema.nullable(),
  /** Whether what lies beneath is let dry first. */
  dry: z.boolean({ error: 'must be true or false' }),
  passes: z.array(passSchema).min(1, 'must have at least one pass').max(8, 'must have at most 8 passes'),
})
export type SheetStep = z.infer<typeof sheetSchema>
