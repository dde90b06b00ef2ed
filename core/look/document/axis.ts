import { z } from 'zod'
import { bounded, FAR, pointSchema } from './parts'

const across = [
  z.strictObject({ kind: z.literal('out'), from: pointSchema, reach: bounded(1, FAR) }),
  z.strictObject({
    kind: z.literal('line'),
    from: pointSchema,
    to: pointSchema,
    /** Repeats after so many mm, as the bands of a cake do that a sponge lays side by side; once when left out. */
    every: bounded(4, FAR).optional(),
  }),
] as const

/** Along what colours follow one another on the skin: out from a point, or along a line. */
export const axisSchema = z.discriminatedUnion('kind', [...across], {
  error: 'must run out from a point or along a line',
})

/** The same, or in from the edge of the design itself to a depth, mm: light inside, dark along the rim. */
export const washAxisSchema = z.discriminatedUnion(
  'kind',
  [...across, z.strictObject({ kind: z.literal('edge'), depth: bounded(1, FAR) })],
  { error: 'must run out from a point, along a line or in from the edge' },
)

/** Where along its axis a film begins to run out, as a share of it: at its end nothing is left. */
export const runsOutSchema = bounded(0, 0.95)
