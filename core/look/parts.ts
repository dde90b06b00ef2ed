import { z } from 'zod'
import { TOOL_IDS, WETNESSES, type ToolId } from '../paint'
import { ZONE_IDS, type ZoneId } from '../skin'

/** Farther than this from the bridge of the nose nothing can lie on the skin, mm. */
export const FAR = 400

const number = (least: number, most: number) => z.number({ error: 'must be a number' }).min(least, `must be at least ${least}`).max(most, `must be at most ${most}`)

/** A number between two bounds, with a sentence for each way of missing them. */
export { number as bounded }

export const pointSchema = z.tuple([number(-FAR, FAR), number(-FAR, FAR)], { error: 'must be two numbers, x and y in mm' })
export const idSchema = z.string({ error: 'must be text' }).regex(/^[\w-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _')
export const textSchema = (most: number) => z.string({ error: 'must be text' }).max(most, `must not be longer than ${most} letters`)
export const hexSchema = z.string({ error: 'must be a colour such as #7A2E5D' }).regex(/^#[0-9a-fA-F]{6}$/, 'must be a colour such as #7A2E5D')

/** A paint as a look remembers it: the kit's own entry counts where it is still there, else name and colour from the file. */
export const paintRefSchema = z.strictObject({ id: idSchema, name: textSchema(80), colour: hexSchema })
export type PaintRef = z.infer<typeof paintRefSchema>

export const toolSchema = z.enum(TOOL_IDS as [ToolId, ...ToolId[]], { error: `must be one of ${TOOL_IDS.join(', ')}` })
export const wetnessSchema = z.enum(WETNESSES, { error: `must be one of ${WETNESSES.join(', ')}` })
export const zoneSchema = z.enum(ZONE_IDS as [ZoneId, ...ZoneId[]], { error: 'must be a zone of the face' })
export const dabsSchema = z.int('must be a whole number').min(1, 'must be at least 1').max(12, 'must be at most 12')

/** What every step has. */
export const stepBase = {
  id: idSchema,
  label: textSchema(60),
  optional: z.boolean({ error: 'must be true or false' }),
  /** What the step is worth to the look, 0 to 10. */
  worth: number(0, 10),
  twin: z.enum(['none', 'midline'], { error: 'must be none or midline' }),
}
