import { z } from 'zod'
import { DOT_RUNS, dotShape, param, paramProblems, type Param } from '../../../stroke'
import {
  brushSchema,
  handlesSchema,
  linkedTwinSchema,
  paintRefSchema,
  sourceSchema,
  stepBase,
} from '../../document'

/** Numbers of dots that go around something: how many, first and last size, distance. */
export const AROUND_DOTS = [
  param('count', 'dots', '', 1, 60, 1, 24),
  param('first', 'first', 'mm', 0.6, 14, 0.2, 2),
  param('last', 'last', 'mm', 0.6, 14, 0.2, 2),
  param('distance', 'distance', 'mm', -4, 15, 0.5, 2),
] as const

export const dotsSchema = z
  .strictObject({
    kind: z.literal('dots'),
    ...stepBase,
    twin: linkedTwinSchema,
    run: z.enum([...DOT_RUNS, 'around'], { error: `must be one of ${DOT_RUNS.join(', ')}, around` }),
    points: handlesSchema(10),
    params: z.record(z.string().max(20), z.number({ error: 'must be a number' })),
    of: sourceSchema.nullable(),
    brush: brushSchema,
    paint: paintRefSchema,
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    for (const problem of paramProblems(paramsOfRun(step.run), step.params)) say(problem, 'params')
    if ((step.run === 'around') !== (step.of !== null))
      say(step.of ? 'must be null for this run' : 'must name what they go around', 'of')
    const [least, most] = roomForRun(step.run)
    if (step.points.length < least || step.points.length > most)
      say(least === most ? `must have ${least} points` : `must have ${least} to ${most} points`, 'points')
  })
export type DotsStep = z.infer<typeof dotsSchema>

export const RUN_WORDS = {
  row: 'row of dots',
  ring: 'ring of dots',
  threes: 'dots in threes',
  cluster: 'cluster of dots',
  around: 'dots around',
} as const

type Run = DotsStep['run']
/** The numbers of a run of dots. */
export const paramsOfRun = (run: Run): readonly Param[] =>
  run === 'around' ? AROUND_DOTS : dotShape(run).params
/** Least and most handles of a run of dots. */
export const roomForRun = (run: Run): readonly [number, number] =>
  run === 'around' ? [0, 0] : dotShape(run).handles
