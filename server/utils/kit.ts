import { z } from 'zod'
import { plainLetters, UNSEEN } from '#core/look'
import { MOST_STRIPS, SIZES, stripSchema } from '#core/cake'
import {
  FINISHES,
  linearOf,
  luminance,
  labelOf,
  TOOL_IDS,
  useBy,
  WETNESSES,
  type Paint,
  type ToolId,
} from '#core/paint'

const hex = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'must be a colour such as #7A2E5D')
const text = (most: number) =>
  z
    .string()
    .trim()
    .min(1, 'must not be empty')
    .max(most, `must not be longer than ${most} letters`)
    .refine(plainLetters, UNSEEN)

const between = (least: number, most: number, unit: string) =>
  z.number().min(least, `must be at least ${least} ${unit}`).max(most, `must be at most ${most} ${unit}`)

/** A paint as the kit page sends it. */
export const paintSchema = z
  .strictObject({
    name: text(80),
    finish: z.enum(FINISHES),
    colour: hex,
    overBlack: hex,
    overWhite: hex,
    measured: z.boolean(),
    strips: z.array(stripSchema).max(MOST_STRIPS),
    eyeSafe: z.boolean().nullable(),
    lipSafe: z.boolean().nullable(),
    openedOn: z.iso.date('must be a day such as 2026-05-01').nullable(),
    months: z.int().min(1, 'must be at least 1').max(120, 'must be at most 120'),
    grams: z.number().min(0, 'must not be negative').max(2000).nullable(),
    cakeGrams: z.number().min(1, 'must be at least 1').max(2000),
    price: z.number().min(0, 'must not be negative').max(10_000).nullable(),
    toMake: z
      .strictObject({
        length: between(...SIZES.length, 'mm'),
        depth: between(...SIZES.depth, 'mm'),
      })
      .optional(),
  })
  .superRefine((p, context) => {
    // Of what is no colour nothing can be worked out; it is told already.
    if (![p.overBlack, p.overWhite].every(c => hex.safeParse(c).success)) return
    if (luminance(linearOf(p.overBlack)) > luminance(linearOf(p.overWhite)) + 0.01)
      context.addIssue({
        code: 'custom',
        path: ['overBlack'],
        message: 'cannot be lighter than over white: swap the two, or measure again',
      })
    if (p.strips.length === 1)
      context.addIssue({ code: 'custom', path: ['strips'], message: 'must be none or at least two' })
    if (p.toMake && p.strips.length < 2)
      context.addIssue({ code: 'custom', path: ['toMake'], message: 'must be left out of a single colour' })
    if (useBy(p)?.includes('NaN'))
      context.addIssue({ code: 'custom', path: ['openedOn'], message: 'must be a day such as 2026-05-01' })
  })

const tool = z.enum(TOOL_IDS as [ToolId, ...ToolId[]])

/**
 * Readings as the kit page sends them: of the bridge ladder, and of what a tool lets go, holds and how wide
 * it is.
 */
export const readingSchemas = {
  edges: z.strictObject({
    tool,
    wetness: z.enum(WETNESSES),
    bridge: z
      .number()
      .min(0.1, 'must be at least 0.1 mm')
      .max(8, 'must be at most 8 mm: no bridge of the ladder is wider than 4 mm'),
  }),
  tools: z.discriminatedUnion(
    'measure',
    [
      z.strictObject({ tool, measure: z.literal('release'), value: between(0.02, 5, 'mg/cm²') }),
      z.strictObject({ tool, measure: z.literal('capacity'), value: between(2, 8000, 'mg') }),
      z.strictObject({ tool, measure: z.literal('tip'), value: between(1, 120, 'mm') }),
    ],
    { error: 'must be of what the tool lets go, what it holds or how wide its tip is' },
  ),
}

/**
 * A paint as it is kept: a split cake is only as safe near eyes and on lips as its least safe strip, whatever
 * was ticked.
 */
export function leastSafe(paint: Paint): Paint {
  const kit = useRepositories()
    .paints.all()
    .filter(p => p.id !== paint.id)
  return { ...paint, eyeSafe: labelOf(paint, 'eyes', kit), lipSafe: labelOf(paint, 'lips', kit) }
}
