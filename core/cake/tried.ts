import { z } from 'zod'

/** As many strips as a cake can have, and as many cakes as are tried side by side. */
export const MOST_STRIPS = 12
export const MOST_TRIED = 8
/** Width of a strip, mm: least, most, and of a fresh one. */
export const STRIP_WIDTH = { least: 0.5, most: 80, fresh: 6 } as const

/** One strip of a cake, as pages send it and the house keeps it. */
export const stripSchema = z.strictObject({
  colour: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'must be a colour such as #7A2E5D'),
  width: z
    .number()
    .min(STRIP_WIDTH.least, `must be at least ${STRIP_WIDTH.least} mm`)
    .max(STRIP_WIDTH.most, `must be at most ${STRIP_WIDTH.most} mm`),
  name: z.string().max(80, 'must not be longer than 80 letters'),
  paint: z
    .string()
    .regex(/^[\w-]{1,64}$/, 'must be a paint of the kit')
    .optional(),
})

/** Strips that are tried as a cake before any paint is cut. */
const triedCakeSchema = z.strictObject({
  id: z.string().regex(/^[\w-]{1,64}$/, 'must be letters, digits or dashes'),
  name: z.string().max(80, 'must not be longer than 80 letters'),
  strips: z.array(stripSchema).max(MOST_STRIPS, `must not be more than ${MOST_STRIPS}`),
})
export type TriedCake = z.infer<typeof triedCakeSchema>

/** All that are tried side by side. */
export const triedCakesSchema = z
  .array(triedCakeSchema)
  .max(MOST_TRIED, `must not be more than ${MOST_TRIED}`)
