import { z } from 'zod'
import {
  axisSchema,
  bounded,
  cakeRefSchema,
  chargeSchema,
  dabsSchema,
  freeFields,
  idSchema,
  loopSchema,
  paintRefSchema,
  placementSchema,
  registerSchema,
  runsOutSchema,
  sparkColourSchema,
  stepBase,
  textSchema,
  toolSchema,
  wetnessSchema,
  zoneSchema,
} from '../../document'
import { GLITTER_SORTS } from '../flakes'

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
    z.strictObject({
      kind: z.literal('cake'),
      cake: cakeRefSchema,
      direction,
      /** Whether its bands repeat at the sponge's width; drawn across once when left out. */
      bands: z.boolean({ error: 'must be true or false' }).optional(),
    }),
    z
      .strictObject({
        kind: z.literal('over'),
        first: paintRefSchema,
        second: paintRefSchema,
        /** Colours that follow the second; none when left out. */
        more: z.array(paintRefSchema).max(3, 'must have at most five colours in all').optional(),
        /** Where along the way each colour lies, 0 to 1; evenly spread when left out. */
        stops: z.array(bounded(0, 1)).max(5).optional(),
        direction,
      })
      .superRefine(({ stops, more }, context) => {
        if (!stops) return
        const say = (message: string) => context.addIssue({ code: 'custom', message, path: ['stops'] })
        if (stops.length !== 2 + (more?.length ?? 0)) say('must have one place for each colour')
        if (stops.some((v, i) => i > 0 && v < stops[i - 1]!)) say('must not fall')
      }),
  ],
  { error: 'must be one colour, a split cake or a colour over another' },
)

/** How softly a sponge fades out where only a part of a sheet is dabbed, mm. */
const fades = bounded(0, 25)

/** The only part of the skin where a pass is dabbed: a drawn shape, zones, or where an earlier step lies. */
const partSchema = z.discriminatedUnion(
  'by',
  [
    z.strictObject({ by: z.literal('shape'), loop: loopSchema, fades }),
    z.strictObject({
      by: z.literal('zones'),
      zones: z.array(zoneSchema).min(1, 'must name at least one zone').max(20),
      fades,
    }),
    z.strictObject({
      by: z.literal('step'),
      step: idSchema,
      /** Only these strips of its cake; null for all of it. */
      strips: z.array(z.int().min(0).max(11)).min(1, 'must name at least one strip').max(12).nullable(),
      fades,
    }),
  ],
  { error: 'must be a shape, zones or a step' },
)
export type Part = z.infer<typeof partSchema>

const passSchema = z.strictObject({
  openings,
  load,
  tool: toolSchema,
  wetness: wetnessSchema,
  dabs: dabsSchema,
  /** Share of a full load that the tool has: what is left on it gives a faded print. */
  charge: chargeSchema,
  /** Whether it goes on with what the tool still holds of the last pass with that paint; reloaded when left out. */
  carries: z.boolean({ error: 'must be true or false' }).optional(),
  /** The only part where it is dabbed; everywhere when left out. */
  part: partSchema.optional(),
  /** Where its colours run on the face, dragged there by hand; by the load's direction when left out. */
  axis: axisSchema.optional(),
  runsOut: runsOutSchema.optional(),
  glitter: z.boolean({ error: 'must be true or false' }),
  /** Sort, colour and amount of that glitter; fine, white and thick when left out. */
  sparkle: z
    .strictObject({
      sort: z.enum(GLITTER_SORTS, { error: `must be one of ${GLITTER_SORTS.join(', ')}` }),
      colour: sparkColourSchema,
      amount: bounded(0.05, 1),
    })
    .optional(),
})
export type Pass = z.infer<typeof passSchema>

export const sheetSchema = z.strictObject({
  kind: z.literal('sheet'),
  ...stepBase,
  ...freeFields,
  stencil: idSchema,
  ...placementSchema.shape,
  register: registerSchema.nullable(),
  /** Whether what lies beneath is let dry first. */
  dry: z.boolean({ error: 'must be true or false' }),
  passes: z
    .array(passSchema)
    .min(1, 'must have at least one colour layer')
    .max(8, 'must have at most 8 colour layers'),
})
export type SheetStep = z.infer<typeof sheetSchema>
