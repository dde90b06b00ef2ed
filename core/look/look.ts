import { z } from 'zod'
import { KINDS, kindOf, type Step, type World } from './kinds'
import { bounded, hexSchema, idSchema, pointSchema, textSchema } from './parts'

export const LOOK_FORMAT = 'janusform-look'
export const LOOK_VERSION = 1

const stepSchema = z.discriminatedUnion('kind', Object.values(KINDS).map(k => k.schema) as never, { error: `must be of a known kind: ${Object.keys(KINDS).join(', ')}` }) as unknown as z.ZodType<Step>

/** A look: one design as a file and as a record. Fields are described in docs/FORMATS.md. */
export const lookSchema = z.strictObject({
  format: z.literal(LOOK_FORMAT, { error: `must be "${LOOK_FORMAT}"` }),
  version: z.literal(LOOK_VERSION, { error: `must be ${LOOK_VERSION}; a later file needs a later version of the application` }),
  id: idSchema,
  name: textSchema(80).min(1, 'must not be empty'),
  notes: textSchema(4000),
  tags: z.array(textSchema(30)).max(20),
  canvas: z.strictObject({ kind: z.literal('face', { error: 'must be face' }) }),
  skin: z.strictObject({
    colour: hexSchema, hair: hexSchema, eyes: z.enum(['open', 'closed'], { error: 'must be open or closed' }), age: bounded(3, 99),
  }),
  focus: pointSchema,
  /** Seconds there are for it; null when nobody waits. */
  budget: bounded(10, 7200).nullable(),
  steps: z.array(stepSchema).max(80, 'must not have more than 80 steps'),
})

export type Look = Omit<z.infer<typeof lookSchema>, 'steps'> & { steps: Step[] }

/** A look, or sentences that say what is wrong where. */
export type ParsedLook = { ok: true, look: Look } | { ok: false, errors: string[] }

/**
 * Reads a look from parsed JSON.
 * @returns the look, or up to ten sentences naming each wrong place
 */
export function parseLook(data: unknown): ParsedLook {
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== LOOK_FORMAT) {
    return { ok: false, errors: [`This is not a look: its "format" is not "${LOOK_FORMAT}".`] }
  }
  const result = lookSchema.safeParse(data)
  if (!result.success) return { ok: false, errors: result.error.issues.slice(0, 10).map(issue => sentence(issue, data)) }
  const look = result.data as Look, seen = new Set<string>()
  for (const step of look.steps) {
    if (seen.has(step.id)) return { ok: false, errors: [`Two steps have the same id "${step.id}".`] }
    seen.add(step.id)
  }
  return { ok: true, look }
}

/** The ids of the sheets that a look uses, each once. */
export const sheetsOf = (look: Look): string[] => [...new Set(look.steps.flatMap(step => kindOf(step).sheets(step)))]

/** Sentences for the sheets that a look names and the drawer lacks. */
export function missingSheets(look: Look, has: (id: string) => boolean): string[] {
  return sheetsOf(look).filter(id => !has(id)).map(id => `The look uses the stencil "${id}", which is not in the drawer. Import that sheet first.`)
}

function sentence(issue: z.core.$ZodIssue, data: unknown): string {
  const path = [...issue.path]
  let where = 'The look'
  if (path[0] === 'steps' && typeof path[1] === 'number') {
    const label = (data as { steps?: { label?: unknown }[] }).steps?.[path[1]]?.label
    where = `Step ${path[1] + 1}${typeof label === 'string' && label ? ` (${label.slice(0, 40)})` : ''}`
    path.splice(0, 2)
  }
  const field = path.map(String).join('.')
  if (issue.code === 'unrecognized_keys') return `${where}${field ? `, ${field}` : ''}: has an unknown field ${issue.keys.map(k => `"${k.slice(0, 40)}"`).join(', ')}.`
  return `${where}${field ? `: "${field}"` : ''} ${issue.message}.`
}

/** Seconds to paint a look, drying left out: an estimate from common practice. */
export function lookSeconds(look: Look, world: World): number {
  return look.steps.reduce((sum, step) => sum + kindOf(step).effort(step, world).seconds, 0)
}
