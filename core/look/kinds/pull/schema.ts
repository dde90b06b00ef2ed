import { z } from 'zod'
import {
  bounded,
  dabsSchema,
  freeFields,
  handlesSchema,
  linkedTwinSchema,
  stepBase,
  toolLoadSchema,
  toolSchema,
  wetnessSchema,
} from '../../document'

/** How a loaded sponge or soft brush is led over the skin. */
export const MANNERS = ['drawn', 'stamped', 'turned'] as const
export type Manner = (typeof MANNERS)[number]
export const MANNER_WORDS: Readonly<Record<Manner, string>> = {
  drawn: 'pressed and drawn along',
  stamped: 'stamped side by side',
  turned: 'turned about a point',
}

/** Least and most handles of each manner: a turn has its middle, and where the outer edge begins. */
export const MANNER_HANDLES = {
  drawn: [2, 12],
  stamped: [2, 12],
  turned: [2, 2],
} as const satisfies Record<Manner, readonly [number, number]>

export const pullSchema = z
  .strictObject({
    kind: z.literal('pull'),
    ...stepBase,
    ...freeFields,
    twin: linkedTwinSchema,
    manner: z.enum(MANNERS, { error: `must be one of ${MANNERS.join(', ')}` }),
    points: handlesSchema(12),
    /** How wide the loaded edge of the tool is, mm; a turn is as wide as its handles lie apart. */
    width: bounded(3, 120),
    /** How far a turn goes round, degrees clockwise. */
    sweep: bounded(20, 360),
    /** How far a stamp is turned against its way, degrees clockwise. */
    angle: bounded(-180, 180),
    tool: toolSchema,
    load: toolLoadSchema,
    /** On which side of its way the far end of the load lies; a turn has it outward on the right. */
    dark: z.enum(['left', 'right'], { error: 'must be left or right' }),
    wetness: wetnessSchema,
    /** How often it is gone over. */
    dabs: dabsSchema,
    /** Whether it is gone over until its strips are soft. */
    soft: z.boolean({ error: 'must be true or false' }),
    /** Share of its thickness that is left at its end, 0 to 1: a load that runs out. */
    ends: bounded(0, 1),
  })
  .superRefine((step, context) => {
    const [least, most] = MANNER_HANDLES[step.manner]
    if (step.points.length < least || step.points.length > most)
      context.addIssue({
        code: 'custom',
        message: least === most ? `must have ${least} points` : `must have ${least} to ${most} points`,
        path: ['points'],
      })
  })
export type Pull = z.infer<typeof pullSchema>
