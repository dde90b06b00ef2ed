import { z } from 'zod'
import { BRUSH_IDS, TOOL_IDS, WETNESSES, type BrushId, type ToolId } from '../../paint'
import { ZONE_IDS, type ZoneId } from '../../skin'

/** Farther than this from the bridge of the nose nothing can lie on the skin, mm. */
export const FAR = 400

const number = (least: number, most: number) =>
  z
    .number({ error: 'must be a number' })
    .min(least, `must be at least ${least}`)
    .max(most, `must be at most ${most}`)

/** A number between two bounds, with a sentence for each way of missing them. */
export { number as bounded }

export const pointSchema = z.tuple([number(-FAR, FAR), number(-FAR, FAR)], {
  error: 'must be two numbers, x and y in mm',
})
export const idSchema = z
  .string({ error: 'must be text' })
  .regex(/^[\w-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _')
/** Control characters, and those that turn the direction of what is written; joiners within pictures are none. */
const UNSEEN_LETTERS = /(?!\u200D)[\p{Cc}\p{Cf}]/gu
export const UNSEEN = 'must not hold control or direction characters, which nobody sees'
/** Whether a name holds only letters that are seen. */
export const plainLetters = (name: string): boolean => name.search(UNSEEN_LETTERS) < 0
/** A name without what nobody sees. */
export const withoutUnseen = (name: string): string => name.replace(UNSEEN_LETTERS, '')

export const textSchema = (most: number) =>
  z.string({ error: 'must be text' }).max(most, `must not be longer than ${most} letters`)
export const hexSchema = z
  .string({ error: 'must be a colour such as #7A2E5D' })
  .regex(/^#[0-9a-fA-F]{6}$/, 'must be a colour such as #7A2E5D')

/**
 * A paint as a look remembers it: the kit's own entry counts where it is still there, else name and colour
 * from the file.
 */
export const paintRefSchema = z.strictObject({ id: idSchema, name: textSchema(80), colour: hexSchema })
export type PaintRef = z.infer<typeof paintRefSchema>

export const toolSchema = z.enum(TOOL_IDS as [ToolId, ...ToolId[]], {
  error: `must be one of ${TOOL_IDS.join(', ')}`,
})
export const wetnessSchema = z.enum(WETNESSES, { error: `must be one of ${WETNESSES.join(', ')}` })
export const zoneSchema = z.enum(ZONE_IDS as [ZoneId, ...ZoneId[]], {
  error: 'must be a zone of a face or an arm',
})
export const chargeSchema = number(0.1, 1)
export const tiltSchema = number(-360, 360)
const sideSchema = z.enum(['A', 'B'], { error: 'must be A or B' })

/** Where a sheet lies, as a file says it. */
export const placementSchema = z.strictObject({
  at: pointSchema,
  tilt: tiltSchema,
  side: sideSchema,
  grip: pointSchema,
})

const TWIN_RULES = ['none', 'midline', 'features', 'turn'] as const
export type TwinRule = (typeof TWIN_RULES)[number]

/**
 * A step's counterpart: the rule that places it, the point of a half turn, and its own place when it is not
 * linked to the rule.
 */
const twinSchema = z.strictObject({
  rule: z.enum(TWIN_RULES, { error: `must be one of ${TWIN_RULES.join(', ')}` }),
  about: pointSchema.nullable(),
  own: placementSchema.nullable(),
})
export type Twin = z.infer<typeof twinSchema>
/**
 * The twin of a step with handles: it follows its rule, as one that goes its own way is a step of its own.
 */
export const linkedTwinSchema = twinSchema.extend({ own: z.null({ error: 'must be null' }) })
export const NO_TWIN: Twin = { rule: 'none', about: null, own: null }
export const dabsSchema = z
  .int('must be a whole number')
  .min(1, 'must be at least 1')
  .max(12, 'must be at most 12')

/** A split cake as a look remembers it, its strips in order with their widths (mm). */
export const cakeRefSchema = z.strictObject({
  id: idSchema,
  name: textSchema(80),
  colour: hexSchema,
  strips: z
    .array(
      z.strictObject({
        colour: hexSchema,
        width: number(0.5, 80),
        name: textSchema(80),
        paint: idSchema.optional(),
      }),
    )
    .min(2, 'must have at least two strips')
    .max(12),
})
export type CakeRef = z.infer<typeof cakeRefSchema>

export const brushSchema = z.enum(BRUSH_IDS as [BrushId, ...BrushId[]], {
  error: `must be one of ${BRUSH_IDS.join(', ')}`,
})
/** Handles of a step on the skin. */
export const handlesSchema = (most: number) =>
  z.array(pointSchema).max(most, `must not have more than ${most} points`)
/** How glitter or a gem looks that does not simply have its colour. */
const SPARK_FINISHES = ['iridescent', 'pearl'] as const
export type SparkFinish = (typeof SPARK_FINISHES)[number]
/** What a gem or glitter looks like. */
export const sparkColourSchema = z.strictObject({
  name: textSchema(40),
  colour: hexSchema,
  /** Iridescent changes its hue from flake to flake, pearl shines softly; plain when left out. */
  finish: z.enum(SPARK_FINISHES, { error: `must be ${SPARK_FINISHES.join(' or ')}` }).optional(),
  /** Size of a flake, mm; as its sort has it when left out. */
  flake: number(0.08, 4).optional(),
})
export type SparkColour = z.infer<typeof sparkColourSchema>

/** What every step has. */
export const stepBase = {
  id: idSchema,
  label: textSchema(60),
  optional: z.boolean({ error: 'must be true or false' }),
  /** What the step is worth to the look, 0 to 10. */
  worth: number(0, 10),
  twin: twinSchema,
  /** Steps that belong together, such as those of one arrangement. */
  group: idSchema.nullable(),
  /** The switch of the look that turns it on and off; always on when left out. */
  switch: idSchema.optional(),
  /** Whether the person's eyes are shut while it is painted; as nobody said when left out. */
  eyes: z.enum(['shut'], { error: 'must be shut, or left out' }).optional(),
  /** Whether it keeps its place when an order is worked out; it does not when left out. */
  locked: z.boolean({ error: 'must be true or false' }).optional(),
}

/** What every step says, whatever its kind. */
export interface BaseStep {
  readonly kind: string
  readonly id: string
  readonly label: string
  readonly optional: boolean
  readonly worth: number
  readonly twin: Twin
  readonly group: string | null
  readonly switch?: string | undefined
  readonly eyes?: 'shut' | undefined
  readonly locked?: boolean | undefined
}
