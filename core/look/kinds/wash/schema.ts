import { z } from 'zod'
import {
  bounded,
  dabsSchema,
  FAR,
  handlesSchema,
  linkedTwinSchema,
  paintRefSchema,
  pointSchema,
  stepBase,
  toolSchema,
  wetnessSchema,
  zoneSchema,
} from '../../document'

/** What a drawn base can leave free by itself, so that nobody need draw round it. */
export const FREE = ['eyes', 'nostrils'] as const

const axis = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('out'), from: pointSchema, reach: bounded(1, FAR) }),
    z.strictObject({ kind: z.literal('line'), from: pointSchema, to: pointSchema }),
  ],
  { error: 'must run out from a point or along a line' },
)

export const washSchema = z
  .strictObject({
    kind: z.literal('wash'),
    ...stepBase,
    twin: linkedTwinSchema,
    /** The zones that it covers; none when its outline is drawn. */
    zones: z.array(zoneSchema).max(30),
    /** The handles of its drawn outline; none when it covers zones. */
    points: handlesSchema(400),
    /** Whether the outline goes straight from handle to handle, with corners. */
    straight: z.boolean({ error: 'must be true or false' }),
    /** Places that stay unpainted where it would run over them; none when left out. */
    free: z
      .array(z.enum(FREE, { error: `must be ${FREE.join(' or ')}` }))
      .max(2)
      .optional(),
    colours: z
      .array(paintRefSchema)
      .min(1, 'must have at least one colour')
      .max(4, 'must have at most four colours'),
    axis,
    tool: toolSchema,
    wetness: wetnessSchema,
    dabs: dabsSchema,
    glitter: z.boolean({ error: 'must be true or false' }),
  })
  .superRefine((wash, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    if (!wash.zones.length && wash.points.length < 3)
      say('must name zones, or the base must have an outline of three points or more', 'zones')
    if (wash.zones.length && wash.points.length) say('must be empty when the base covers zones', 'points')
    if (wash.zones.length && wash.twin.rule !== 'none')
      say('must have the rule "none" when the base covers zones: name the zones of both sides', 'twin')
  })

export type Wash = z.infer<typeof washSchema>
