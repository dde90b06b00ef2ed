import { z } from 'zod'
import { bounded, idSchema, pointSchema } from './parts'

/** Ways of registering one sheet on another. */
const REGISTER_WAYS = ['openings', 'bridges', 'motif', 'edge'] as const
export type RegisterWay = (typeof REGISTER_WAYS)[number]

/**
 * A sheet held in register with another step's: how its frame lies in the host's sheet frame (degrees
 * clockwise, mm).
 */
export const registerSchema = z.strictObject({
  on: idSchema,
  way: z.enum(REGISTER_WAYS, { error: `must be one of ${REGISTER_WAYS.join(', ')}` }),
  turn: bounded(-360, 360),
  shift: pointSchema,
})
