import { z } from 'zod'
import {
  DOT_RUNS,
  dotShape,
  param,
  paramProblems,
  valuesOf,
  type DotRun,
  type Param,
  type Params,
} from '../../../stroke'
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

/** Numbers of dots of which each piece gets one: first and last size, and where on it. */
const EACH_DOTS = [
  param('first', 'first', 'mm', 0.6, 14, 0.2, 2.4),
  param('last', 'last', 'mm', 0.6, 14, 0.2, 2.4),
  param('side', 'side, from the top', '°', -180, 180, 15, 0),
  param('out', 'from the middle out', '%', 0, 160, 10, 0),
] as const
/** Numbers of dots at the ends of strokes: size, and at which end. */
const END_DOTS = [
  param('first', 'size', 'mm', 0.6, 14, 0.2, 2.4),
  param('ends', 'starts, ends, both', '', 0, 2, 1, 1),
] as const

/** Runs that follow an earlier step. */
const FOLLOWING = { around: AROUND_DOTS, each: EACH_DOTS, ends: END_DOTS } as const
const FOLLOWING_RUNS = ['around', 'each', 'ends'] as const satisfies readonly (keyof typeof FOLLOWING)[]
export type FollowingRun = (typeof FOLLOWING_RUNS)[number]
export const isFollowing = (run: DotRun | FollowingRun): run is FollowingRun => run in FOLLOWING

export const dotsSchema = z
  .strictObject({
    kind: z.literal('dots'),
    ...stepBase,
    twin: linkedTwinSchema,
    run: z.enum([...DOT_RUNS, ...FOLLOWING_RUNS], {
      error: `must be one of ${[...DOT_RUNS, ...FOLLOWING_RUNS].join(', ')}`,
    }),
    points: handlesSchema(10),
    params: z.record(z.string().max(20), z.number({ error: 'must be a number' })),
    of: sourceSchema.nullable(),
    brush: brushSchema,
    paint: paintRefSchema,
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    for (const problem of paramProblems(paramsOfRun(step.run), step.params)) say(problem, 'params')
    if (isFollowing(step.run) !== (step.of !== null))
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
  each: 'a dot on each',
  ends: 'dots where strokes end',
} as const

type Run = DotsStep['run']
/** The numbers of a run of dots. */
export const paramsOfRun = (run: Run): readonly Param[] =>
  isFollowing(run) ? FOLLOWING[run] : dotShape(run).params
/** Least and most handles of a run of dots. */
export const roomForRun = (run: Run): readonly [number, number] =>
  isFollowing(run) ? [0, 0] : dotShape(run).handles

/** The numbers of dots that follow an earlier step, by their names. */
export const eachValues = (given: Params) => valuesOf(EACH_DOTS, given)
export const endValues = (given: Params) => valuesOf(END_DOTS, given)
