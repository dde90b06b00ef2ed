import { z } from 'zod'
import {
  bounded,
  freeFields,
  handlesSchema,
  idSchema,
  linkedTwinSchema,
  sparkColourSchema,
  stepBase,
  zoneSchema,
} from '../../document'
import { GLITTER_SORTS } from '../flakes'

export const GLITTER_AREAS = ['patch', 'trail', 'outline', 'zones', 'print', 'rim', 'lowerLip'] as const

/** As many handles an area of glitter has at most. */
const GLITTER_HANDLES = 12

/** Least and most handles of each area. */
export const AREA_HANDLES = {
  patch: [2, 2],
  trail: [2, GLITTER_HANDLES],
  outline: [3, GLITTER_HANDLES],
  zones: [0, 0],
  print: [0, 0],
  rim: [0, 0],
  lowerLip: [0, 0],
} as const satisfies Record<(typeof GLITTER_AREAS)[number], readonly [number, number]>

export const glitterSchema = z
  .strictObject({
    kind: z.literal('glitter'),
    ...stepBase,
    ...freeFields,
    twin: linkedTwinSchema,
    sort: z.enum(GLITTER_SORTS, { error: `must be one of ${GLITTER_SORTS.join(', ')}` }),
    area: z.enum(GLITTER_AREAS, { error: `must be one of ${GLITTER_AREAS.join(', ')}` }),
    points: handlesSchema(GLITTER_HANDLES),
    /** Width of a trail, or of a rim along the edge of a print, mm. */
    width: bounded(1, 60),
    zones: z.array(zoneSchema).max(20),
    amount: bounded(0.05, 1),
    colour: sparkColourSchema,
    /** The step on whose wet paint it goes, or over whose print; null when it goes on last. */
    on: idSchema.nullable(),
    /** More steps over whose prints it goes together with that one; none when left out. */
    over: z.array(idSchema).max(40).optional(),
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    const [least] = AREA_HANDLES[step.area]
    if (step.points.length < least || (least === 0 && step.points.length))
      say(least ? `must have at least ${least} points` : 'must be empty for this area', 'points')
    if (step.area === 'zones' && !step.zones.length) say('must name at least one zone', 'zones')
    if ((step.area === 'print' || step.area === 'rim') && step.on === null)
      say('must name the step over whose print it goes', 'on')
  })
export type GlitterStep = z.infer<typeof glitterSchema>

/** Glitter colours of the kit (made-up names). */
export const GLITTER_COLOURS = [
  { name: 'Frost', colour: '#EEF1F6' },
  { name: 'Gold dust', colour: '#E8B64C' },
  { name: 'Rose dust', colour: '#EE86AE' },
  { name: 'Sea dust', colour: '#5CC0D6' },
  { name: 'Leaf dust', colour: '#79C46A' },
  { name: 'Violet dust', colour: '#A77BE0' },
  { name: 'Ember dust', colour: '#F0702C' },
] as const
