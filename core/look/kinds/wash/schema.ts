import { z } from 'zod'
import {
  bounded,
  brushSchema,
  cakeLoadSchema,
  dabsSchema,
  freeFields,
  handlesSchema,
  idSchema,
  linkedTwinSchema,
  paintRefSchema,
  runsOutSchema,
  stepBase,
  toolSchema,
  washAxisSchema,
  wetnessSchema,
  zoneSchema,
} from '../../document'

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
    /** What stays unpainted where it would run over it; nothing when left out. */
    ...freeFields,
    /** The id of the sheet step under which it lies, and with which it moves; none when left out. */
    rides: idSchema.optional(),
    colours: z
      .array(paintRefSchema)
      .min(1, 'must have at least one colour')
      .max(5, 'must have at most five colours'),
    /** A split cake that lies there instead, strip by strip along the axis. */
    cake: cakeLoadSchema.optional(),
    axis: washAxisSchema,
    /** Where along the axis each colour lies, 0 to 1; evenly spread when left out. */
    stops: z.array(bounded(0, 1)).max(5).optional(),
    runsOut: runsOutSchema.optional(),
    tool: toolSchema,
    /** The brush with which it is filled in instead of the tool, with a sharp edge; none when left out. */
    brush: brushSchema.optional(),
    /** Whether zones that all but touch are joined without a gap; they are not when left out. */
    gapless: z.boolean({ error: 'must be true or false' }).optional(),
    wetness: wetnessSchema,
    dabs: dabsSchema,
    glitter: z.boolean({ error: 'must be true or false' }),
  })
  .superRefine((wash, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    if (!wash.zones.length && wash.points.length < 3)
      say('must name zones, or the base must have an outline of three points or more', 'zones')
    if (wash.zones.length && wash.points.length) say('must be empty when the base covers zones', 'points')
    const { stops } = wash
    if (stops && stops.length !== wash.colours.length) say('must have one place for each colour', 'stops')
    if (stops?.some((v, i) => i > 0 && v < stops[i - 1]!)) say('must not fall', 'stops')
    if (wash.zones.length && wash.twin.rule !== 'none')
      say('must have the rule "none" when the base covers zones: name the zones of both sides', 'twin')
  })

export type Wash = z.infer<typeof washSchema>
