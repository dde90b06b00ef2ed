import { z } from 'zod'
import { handlesSchema, linkedTwinSchema, stepBase } from '../../document'

/** Most dots of one step, or points of a line. */
export const MOST_GUIDES = 12

/** With what a place is marked so that it does not stay (common practice). */
export const GUIDE_TOOLS = {
  pencil: 'white pencil',
  brush: 'damp brush',
  sheet: 'edge of a stencil',
} as const
export type GuideTool = keyof typeof GUIDE_TOOLS
const TOOLS = Object.keys(GUIDE_TOOLS) as [GuideTool, ...GuideTool[]]

export const guideSchema = z
  .strictObject({
    kind: z.literal('guide'),
    ...stepBase,
    twin: linkedTwinSchema,
    /** Dots to centre by, or a line to go along. */
    form: z.enum(['dots', 'line'], { error: 'must be dots or line' }),
    points: handlesSchema(MOST_GUIDES).min(1, 'must have at least one point'),
    by: z.enum(TOOLS, { error: `must be ${TOOLS.join(' or ')}` }),
    /** Whether it is wiped off once the step after it stands; a base hides it else. */
    wiped: z.boolean({ error: 'must be true or false' }),
  })
  .refine(({ form, points }) => form === 'dots' || points.length > 1, {
    error: 'must be two points or more for a line',
    path: ['points'],
  })
export type Guide = z.infer<typeof guideSchema>
