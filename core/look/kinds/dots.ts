import { z } from 'zod'
import { bearing, boxOf, distance, offset, type Point } from '../../geometry'
import { HANDS } from '../../order'
import { BRUSHES, brushFilm, opacityOf } from '../../paint'
import { roundOn } from '../../skin'
import { DOT_RUNS, dotsAlong, dotShape, paramProblems, type Dot } from '../../stroke'
import { evenly, regionFrom, sourceRings, sourceSchema } from '../around'
import { anchorOf, inTheFlat, liesOf, onSkinBy } from '../handles'
import { laidPaint } from '../load'
import { brushSchema, handlesSchema, linkedTwinSchema, paintRefSchema, stepBase } from '../parts'
import { FINGER_MM, whereIs } from '../where'
import type { Pointer, Print, StepKind, World } from './kind'

/** Numbers of dots that go around something: how many, first and last size, distance. */
export const AROUND_DOTS = [
  ...dotShape('ring').params.map(q => (q.name === 'count' ? { ...q, usual: 24 } : q)),
  { name: 'distance', words: 'distance', unit: 'mm', least: -4, most: 15, step: 0.5, usual: 2 },
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
    for (const problem of paramProblems(
      step.run === 'around' ? AROUND_DOTS : dotShape(step.run).params,
      step.params,
    ))
      say(problem, 'params')
    if ((step.run === 'around') !== (step.of !== null))
      say(step.of ? 'must be null for this run' : 'must name what they go around', 'of')
    const [least, most] = step.run === 'around' ? [0, 0] : dotShape(step.run).handles
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

/** The dots of a step on the skin, by its sides. */
export function dotsOf(step: DotsStep, world: World): { dots: Dot[]; twin: boolean }[] {
  if (step.run === 'around') {
    const grown = step.of
      ? offset(regionFrom(sourceRings(step.of, step.id, world)), step.params.distance!)
      : []
    const count = step.params.count!
    const lines = grown.map(poly => evenly(poly.outer))
    const total = lines.reduce((s, l) => s + l.length, 0)
    return [
      {
        twin: false,
        dots: lines.flatMap(line =>
          dotsAlong(line, true, {
            ...step.params,
            count: Math.max(1, Math.round((count * line.length) / total)),
          }),
        ),
      },
    ]
  }
  const run = step.run
  return liesOf(step, world.ground).map(lie => ({
    twin: lie.twin,
    dots: onSkinBy(
      lie,
      world,
      h => dotShape(run).draw(h, step.params),
      (dot, to) => ({ ...dot, at: to(dot.at) }),
    ),
  }))
}

const all = (step: DotsStep, world: World) => dotsOf(step, world).flatMap(s => s.dots)
/** A dot stands up from the brush: it is thicker than a line (common practice). */
const FILM = 1.25

export const dotsKind: StepKind<DotsStep> = {
  kind: 'dots',
  words: 'dots',
  schema: dotsSchema,
  sheets: () => [],
  paints: step => [step.paint],
  prints(step, world) {
    const film = brushFilm(step.brush) * FILM
    return [
      {
        rings: all(step, world).map(d =>
          roundOn(world.ground.surface, d.at, d.size / 2, d.size > 3 ? 32 : 20),
        ),
        spread: null,
        paints: [laidPaint(step.paint, world)],
        axis: null,
        strips: null,
        film,
        opacity: opacityOf(film),
        softness: 0.08,
        grain: 0,
      } satisfies Print,
    ]
  },
  outlines: () => [],
  lines(step, world) {
    const w = step.points.length
      ? whereIs(world.ground, anchorOf(step.points), null, world.finger ?? FINGER_MM)
      : null
    const n = all(step, world).length
    const first = step.params.first!
    const last = step.params.last!
    return [
      {
        label: 'dots',
        text: `${n}, ${RUN_WORDS[step.run]}, ${first === last ? `${first} mm` : `${first} mm down to ${last} mm`}`,
      },
      ...(w
        ? [
            {
              label: 'where',
              text: `${[w.landmark, w.midline].join('; ')}${step.twin.rule === 'none' ? '' : ', and its twin'}`,
            },
          ]
        : []),
      {
        label: 'colour',
        text: `${step.paint.name}, ${BRUSHES[step.brush].name}, fully loaded for the big ones`,
      },
    ]
  },
  effort(step, world) {
    const dots = all(step, world)
    const loads = Math.max(1, Math.ceil(dots.reduce((s, d) => s + d.size, 0) / 30))
    return { seconds: HANDS.dot * dots.length + HANDS.brushLoad * loads, loads }
  },
  fields: [
    { control: 'dots', path: '', label: 'Dots' },
    { control: 'handles', path: 'points', label: 'Where' },
    { control: 'twin', path: 'twin', label: 'Twin' },
  ],
  anchor: step => (step.points.length ? anchorOf(step.points) : null),
  tool: step => step.brush,
  paintPaths: () => [['paint']],
  boxes: (step, world) =>
    all(step, world).map(d => boxOf(roundOn(world.ground.surface, d.at, d.size / 2, 8))),
  dries: () => 45,
  lays: (step, world) => [
    {
      refs: [step.paint],
      mg:
        (all(step, world).reduce((s, d) => s + (Math.PI / 4) * d.size ** 2, 0) / 100) *
        brushFilm(step.brush) *
        FILM,
    },
  ],
  pointers(step, world) {
    const { run } = step
    if (run === 'around') return []
    return liesOf(step, world.ground).map((lie): Pointer => {
      const dots = inTheFlat(
        lie,
        world,
        h => dotShape(run).draw(h, step.params),
        (dot, to) => ({ ...dot, at: to(dot.at) }),
      )
      const middle: Point = anchorOf(dots.map(d => d.at))
      const a = dots[0]
      const b = dots.at(-1)
      const straight = (run === 'row' || run === 'threes') && a && b && distance(a.at, b.at) > 1
      // Dots that all are of one size have no way of their own.
      return {
        at: anchorOf(lie.points),
        heading: straight && a.size > b.size ? bearing(a.at, b.at) : null,
        size: Math.max(0, ...dots.map(d => 2 * distance(d.at, middle) + d.size)),
        twin: lie.twin,
      }
    })
  },
}
