import { z } from 'zod'
import { BRUSH_IDS, BRUSHES, type BrushId } from '../../../paint'
import { paramProblems, shapeOf, SHAPE_IDS, type Param, type ShapeId } from '../../../stroke'
import {
  bounded,
  brushSchema,
  cakeRefSchema,
  handlesSchema,
  linkedTwinSchema,
  paintRefSchema,
  sourceSchema,
  stepBase,
} from '../../document'
import { AROUND, AROUND_IDS, type AroundId } from './around'

const brushLoad = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('one'), paint: paintRefSchema }),
    z.strictObject({ kind: z.literal('cake'), cake: cakeRefSchema }),
    z.strictObject({ kind: z.literal('double'), light: paintRefSchema, dark: paintRefSchema }),
  ],
  { error: 'must be one colour, a split cake, or light and dark on one brush' },
)

const SHAPES = [...SHAPE_IDS, ...AROUND_IDS] as const

export const lineSchema = z
  .strictObject({
    kind: z.literal('line'),
    ...stepBase,
    twin: linkedTwinSchema,
    shape: z.enum(SHAPES, { error: `must be one of ${SHAPES.join(', ')}` }),
    points: handlesSchema(16),
    params: z.record(z.string().max(20), z.number({ error: 'must be a number' })),
    /** What an outline goes around; null for strokes with handles of their own. */
    of: sourceSchema.nullable(),
    brush: brushSchema,
    load: brushLoad,
    /** On which side of the brush's way the dark end of its load lies. */
    dark: z.enum(['left', 'right'], { error: 'must be left or right' }),
    /** Whether it is gone over, or sponged, until its strips and edges are soft; it is not when left out. */
    softened: z.boolean({ error: 'must be true or false' }).optional(),
    /** How often it is gone over; once when left out. */
    times: z.int('must be a whole number').min(1).max(4).optional(),
    /** How hard the brush is pressed along its way, against its usual: at the start, the middle and the end. */
    pressed: z.tuple([bounded(0, 2), bounded(0, 2), bounded(0, 2)]).optional(),
    /** Shares of its paint at the start and the end of each pull: a brush that runs dry; full when left out. */
    fades: z.tuple([bounded(0, 1), bounded(0, 1)]).optional(),
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    const around = isAround(step.shape)
    for (const problem of paramProblems(paramsOf(step.shape), step.params)) say(problem, 'params')
    if (around ? step.of === null : step.of !== null)
      say(around ? 'must name what it goes around' : 'must be null for this stroke', 'of')
    const [least, most] = roomFor(step.shape)
    if (step.points.length < least || step.points.length > most)
      say(least === most ? `must have ${least} points` : `must have ${least} to ${most} points`, 'points')
  })
export type LineStep = z.infer<typeof lineSchema>

/** What a line can be: a stroke by its handles, or one that goes around something. */
export type LineShape = ShapeId | AroundId

export const isAround = (shape: LineShape): shape is AroundId => shape in AROUND
export const shapeWords = (shape: LineShape): string =>
  isAround(shape) ? AROUND[shape].words : shapeOf(shape).words
/** The numbers of a line. */
export const paramsOf = (shape: LineShape): readonly Param[] =>
  isAround(shape) ? AROUND[shape].params : shapeOf(shape).params
/** Least and most handles of a line. */
export const roomFor = (shape: LineShape): readonly [number, number] =>
  isAround(shape) ? [0, 0] : shapeOf(shape).handles

/** The brushes that suit a stroke. */
export function brushesFor(shape: LineShape): BrushId[] {
  const forms: readonly string[] = isAround(shape) ? AROUND[shape].forms : shapeOf(shape).forms
  return BRUSH_IDS.filter(b => forms.includes(BRUSHES[b].form))
}
