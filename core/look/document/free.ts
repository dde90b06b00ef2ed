import { z } from 'zod'
import { pointSchema } from './parts'

/** Places that a step can leave free by itself, so that nobody need draw round them. */
export const FREE = ['eyes', 'lids', 'brows', 'nostrils', 'lips', 'jaw', 'left half', 'right half'] as const
export type FreePlace = (typeof FREE)[number]

/** A shape drawn by hand, as a ring of points. */
export const loopSchema = z.array(pointSchema).min(3, 'must have at least 3 points').max(60)
/** As many drawn shapes a step can leave free. */
const MOST_HOLES = 8

/** What a step that covers an area leaves unpainted: places by their names, and shapes drawn by hand. */
export const freeFields = {
  free: z
    .array(z.enum(FREE, { error: `must be one of ${FREE.join(', ')}` }))
    .max(FREE.length)
    .optional(),
  holes: z.array(loopSchema).max(MOST_HOLES, `must not have more than ${MOST_HOLES} shapes`).optional(),
}

/** What a step says of what it leaves free. */
export interface LeavesFree {
  readonly free?: readonly FreePlace[] | undefined
  readonly holes?: readonly (readonly (readonly [number, number])[])[] | undefined
}
