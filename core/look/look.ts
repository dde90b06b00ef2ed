import { z } from 'zod'
import type { Memo } from '../memo'
import { groundOf, HAIR_CUTS, type Ground } from '../skin'
import {
  bounded,
  canvasSchema,
  hexSchema,
  idSchema,
  issueWords,
  LOOK_FORMAT,
  LOOK_VERSION,
  pointSchema,
  sittingSchema,
  textSchema,
  upgraded,
  waysSchema,
} from './document'
import { KINDS, kindOf } from './kinds'

/** As many steps a look has at most: nobody sits for more. */
export const MOST_STEPS = 80

const [first, ...rest] = Object.values(KINDS).map(kind => kind.schema)
const stepSchema = z.discriminatedUnion('kind', [first!, ...rest], {
  error: `must be of a known kind: ${Object.keys(KINDS).join(', ')}`,
})

/** A look: one design as a file and as a record. Fields are described in docs/FORMATS.md. */
export const lookSchema = z.strictObject({
  format: z.literal(LOOK_FORMAT, { error: `must be "${LOOK_FORMAT}"` }),
  version: z.literal(LOOK_VERSION, {
    error: `must be ${LOOK_VERSION}; a later file needs a later version of the application`,
  }),
  id: idSchema,
  name: textSchema(80).min(1, 'must not be empty'),
  notes: textSchema(4000),
  tags: z.array(textSchema(30)).max(20),
  canvas: canvasSchema,
  skin: z.strictObject({
    colour: hexSchema,
    hair: hexSchema,
    eyes: z.enum(['open', 'closed'], { error: 'must be open or closed' }),
    age: bounded(3, 99),
    /** Hair that grows on the lower face; none when left out. */
    beard: z.enum(['stubble', 'beard'], { error: 'must be stubble or beard' }).optional(),
    /** Colour of the irises; brown when left out. */
    iris: hexSchema.optional(),
    /** How the hair is worn; tied back when left out. */
    cut: z.enum(HAIR_CUTS, { error: `must be one of ${HAIR_CUTS.join(', ')}` }).optional(),
    /** Whether there are freckles. */
    freckles: z.boolean({ error: 'must be true or false' }).optional(),
    /** Whether it is oily or sweaty: paint holds less there and creeps more. */
    oily: z.boolean({ error: 'must be true or false' }).optional(),
  }),
  sitting: sittingSchema,
  focus: pointSchema,
  /** More focal points, such as one for each eye: what lies nearer to one of them points there. */
  foci: z.array(pointSchema).max(6, 'must not have more than 6 points').optional(),
  /** Variants inside the look: each turns the steps that name it on or off together. */
  switches: z
    .array(
      z.strictObject({
        id: idSchema,
        name: textSchema(40).min(1, 'must not be empty'),
        on: z.boolean({ error: 'must be true or false' }),
      }),
    )
    .max(8, 'must not have more than 8 switches')
    .optional(),
  /** Of which family it is one try, by what letter, and why it was made; a look without any is a family of one. */
  family: z
    .strictObject({
      /** The look with which the family began. */
      id: idSchema,
      letter: z.string({ error: 'must be text' }).regex(/^[A-Z]$/, 'must be one letter from A to Z'),
      why: textSchema(120),
      /** Whether this try is the look; the others stay beside it. */
      kept: z.boolean({ error: 'must be true or false' }),
    })
    .optional(),
  /** Groups that the painter made: steps that name one are one figure to the eye. */
  groups: z
    .array(z.strictObject({ id: idSchema, name: textSchema(40).min(1, 'must not be empty') }))
    .max(MOST_STEPS, `must not have more than ${MOST_STEPS} groups`)
    .optional(),
  /** Ways of working that differ for this look from the painter's usual ones. */
  ways: waysSchema.optional(),
  /** Whether it is painted without its optional steps. */
  shorter: z.boolean({ error: 'must be true or false' }).optional(),
  /** Seconds there are for it with three or ten people waiting; as usual when left out. */
  queue: z.strictObject({ three: bounded(10, 7200), ten: bounded(10, 7200) }).optional(),
  /** Seconds there are for it; null when nobody waits. */
  budget: bounded(10, 7200).nullable(),
  steps: z.array(stepSchema).max(MOST_STEPS, `must not have more than ${MOST_STEPS} steps`),
})

export type Look = z.infer<typeof lookSchema>

/**
 * What a look is painted on. Throws RangeError with a sentence when such a face or arm cannot be.
 * @param memo keeps the last few
 */
export function groundFor({ canvas, skin }: Pick<Look, 'canvas' | 'skin'>, memo?: Memo): Ground {
  return groundOf(canvas, skin.age, { eyesClosed: skin.eyes === 'closed', bald: skin.cut === 'bald' }, memo)
}

/** A look, or sentences that say what is wrong where. */
export type ParsedLook = { ok: true; look: Look } | { ok: false; errors: string[] }

/**
 * Reads a look from parsed JSON.
 * @returns the look, or up to ten sentences naming each wrong place
 */
export function parseLook(data: unknown, memo?: Memo): ParsedLook {
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== LOOK_FORMAT) {
    return { ok: false, errors: [`This is not a look: its "format" is not "${LOOK_FORMAT}".`] }
  }
  const now = upgraded(data)
  const result = lookSchema.safeParse(now)
  if (!result.success)
    return { ok: false, errors: result.error.issues.slice(0, 10).map(issue => sentence(issue, now)) }
  const look = result.data
  const seen = new Set<string>()
  for (const step of look.steps) {
    if (seen.has(step.id)) return { ok: false, errors: [`Two steps have the same id "${step.id}".`] }
    seen.add(step.id)
  }
  try {
    groundFor(look, memo)
  } catch (error) {
    if (error instanceof RangeError)
      return { ok: false, errors: [`The look's canvas cannot be. ${error.message}`] }
    throw error
  }
  return { ok: true, look }
}

/** The ids of the sheets that a look uses, each once. */
export const sheetsOf = (look: Look): string[] => [
  ...new Set(look.steps.flatMap(step => kindOf(step).sheets(step))),
]

/** Sentences for the sheets that a look names and the drawer lacks. */
export function missingSheets(look: Look, has: (id: string) => boolean): string[] {
  return sheetsOf(look)
    .filter(id => !has(id))
    .map(id => `The look uses the stencil "${id}", which is not in the drawer. Import that stencil first.`)
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
  return `${where}${field ? `: "${field}"` : ''} ${issueWords(issue)}.`
}

/** The ids of the steps that are not painted: of a variant that is off, or optional in a shorter look. */
export function stepsOff({ steps, switches, shorter }: Look): ReadonlySet<string> {
  const off = new Set((switches ?? []).flatMap(s => (s.on ? [] : [s.id])))
  return new Set(
    steps.flatMap(s => ((shorter && s.optional) || (s.switch && off.has(s.switch)) ? [s.id] : [])),
  )
}
