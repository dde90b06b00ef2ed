import { z } from 'zod'
import { bounded, freeFields, handlesSchema, idSchema, linkedTwinSchema, stepBase } from '../../document'

/** What is done to paint that lies there: taken off, cleaned at an edge, or run together. */
export const ACTS = ['wipe', 'wetBrush', 'blend'] as const
export type Act = (typeof ACTS)[number]
export const ACT_WORDS: Readonly<Record<Act, string>> = {
  wipe: 'wiped off',
  wetBrush: 'cleaned with a wet brush',
  blend: 'blended until soft',
}

/** Where it is done: in a drawn shape, along a way, over the print of a step, along the edge of one, everywhere. */
const REWORK_AREAS = ['outline', 'trail', 'print', 'rim', 'all'] as const
export type ReworkArea = (typeof REWORK_AREAS)[number]

const MOST_HANDLES = 12
/** Least and most handles of each area. */
export const REWORK_HANDLES = {
  outline: [3, MOST_HANDLES],
  trail: [2, MOST_HANDLES],
  print: [0, 0],
  rim: [0, 0],
  all: [0, 0],
} as const satisfies Record<ReworkArea, readonly [number, number]>

export const reworkSchema = z
  .strictObject({
    kind: z.literal('rework'),
    ...stepBase,
    ...freeFields,
    twin: linkedTwinSchema,
    act: z.enum(ACTS, { error: `must be one of ${ACTS.join(', ')}` }),
    area: z.enum(REWORK_AREAS, { error: `must be one of ${REWORK_AREAS.join(', ')}` }),
    points: handlesSchema(MOST_HANDLES),
    /** Width of a way, or of a band over the edge of a print, mm. */
    width: bounded(1, 60),
    /** The earlier steps over whose prints it is done; empty where it is drawn or everywhere. */
    over: z.array(idSchema).max(20),
    /** How soft its edge is, mm. */
    edge: bounded(0, 15),
    /** Share of the paint whose tint stays in the skin when it is taken off. */
    stays: bounded(0, 1),
    /** How far colours run into one another when they are blended, mm. */
    reach: bounded(0.5, 20),
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    const [least] = REWORK_HANDLES[step.area]
    if (step.points.length < least || (least === 0 && step.points.length))
      say(least ? `must have at least ${least} points` : 'must be empty for this area', 'points')
    if ((step.area === 'print' || step.area === 'rim') && !step.over.length)
      say('must name a step over whose print it is done', 'over')
  })
export type Rework = z.infer<typeof reworkSchema>
