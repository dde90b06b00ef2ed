import { z } from 'zod'
import { bearing, boxOf, EMPTY_BOX, ringOf, signedArea, type Ring } from '../../geometry'
import { strokeEffort } from '../../order'
import { BRUSHES, brushFilm, opacityOf, opticsOfColour, wetBlend } from '../../paint'
import { ribbons } from '../../skin'
import { lengthOf, mapSpine, paramProblems, shapeOf, SHAPE_IDS, type ShapeId, type Spine } from '../../stroke'
import { AROUND, AROUND_IDS, aroundSpines, sourceSchema, type AroundId } from '../around'
import { anchorOf, inTheFlat, liesOf, onSkinBy, type Lie } from '../handles'
import { laidPaint } from '../load'
import {
  brushSchema,
  cakeRefSchema,
  handlesSchema,
  linkedTwinSchema,
  paintRefSchema,
  stepBase,
} from '../parts'
import { FINGER_MM, whereIs } from '../where'
import type { LaidPaint, Pointer, Print, StepKind, World } from './kind'

const brushLoad = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('one'), paint: paintRefSchema }),
    z.strictObject({ kind: z.literal('cake'), cake: cakeRefSchema }),
    z.strictObject({ kind: z.literal('double'), light: paintRefSchema, dark: paintRefSchema }),
  ],
  { error: 'must be one colour, a split cake, or light and dark on one brush' },
)

const shapeIds = [...SHAPE_IDS, ...AROUND_IDS] as [ShapeId | AroundId, ...(ShapeId | AroundId)[]]

export const lineSchema = z
  .strictObject({
    kind: z.literal('line'),
    ...stepBase,
    twin: linkedTwinSchema,
    shape: z.enum(shapeIds, { error: `must be one of ${shapeIds.join(', ')}` }),
    points: handlesSchema(16),
    params: z.record(z.string().max(20), z.number({ error: 'must be a number' })),
    /** What an outline goes around; null for strokes with handles of their own. */
    of: sourceSchema.nullable(),
    brush: brushSchema,
    load: brushLoad,
    /** On which side of the brush's way the dark end of its load lies. */
    dark: z.enum(['left', 'right'], { error: 'must be left or right' }),
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    const around = isAround(step.shape)
    const params = around ? AROUND[step.shape as AroundId].params : shapeOf(step.shape as ShapeId).params
    for (const problem of paramProblems(params, step.params)) say(problem, 'params')
    if (around ? step.of === null : step.of !== null)
      say(around ? 'must name what it goes around' : 'must be null for this stroke', 'of')
    const [least, most] = around ? [0, 0] : shapeOf(step.shape as ShapeId).handles
    if (step.points.length < least || step.points.length > most)
      say(least === most ? `must have ${least} points` : `must have ${least} to ${most} points`, 'points')
  })
export type LineStep = z.infer<typeof lineSchema>

export const isAround = (shape: ShapeId | AroundId): shape is AroundId =>
  (AROUND_IDS as string[]).includes(shape)
export const shapeWords = (shape: ShapeId | AroundId): string =>
  isAround(shape) ? AROUND[shape].words : shapeOf(shape).words

/** The pulls of one side of a step, on the skin. */
export interface Side {
  readonly spines: readonly Spine[]
  readonly mirror: boolean
  readonly twin: boolean
}

const known = new WeakMap<LineStep, { made: readonly unknown[]; sides: Side[] }>()

/** The pulls of a step on the skin, its twin's after them. */
export function sidesOf(step: LineStep, world: World): Side[] {
  if (isAround(step.shape))
    return [
      {
        spines: step.of ? aroundSpines(step.shape, step.of, step.params, step.brush, step.id, world) : [],
        mirror: false,
        twin: false,
      },
    ]
  // A step that is being changed in place must not be taken for what it was.
  const made = [world.ground, step.points, step.params, step.twin, step.shape, step.brush]
  const found = known.get(step)
  if (found?.made.every((v, i) => v === made[i])) return found.sides
  const sides = liesOf(step, world.ground).map(lie => ({
    spines: spinesOn(step, lie, world),
    mirror: lie.mirror,
    twin: lie.twin,
  }))
  known.set(step, { made, sides })
  return sides
}

const spinesOn = (step: LineStep, lie: Lie, world: World): Spine[] =>
  onSkinBy(lie, world, h => shapeOf(step.shape as ShapeId).draw(h, step.params, step.brush), mapSpine)

/** Steps in which two colours on one brush run into each other, as shares of the second. */
const BLEND = [0, 0.04, 0.14, 0.32, 0.54, 0.75, 0.9, 0.97, 1]

/** Paints across the brush from its light end to its dark one, with the share of the width at which each ends. */
function strips({ load }: LineStep, world: World): { paint: LaidPaint; end: number }[] {
  if (load.kind === 'one') return [{ paint: laidPaint(load.paint, world), end: 1 }]
  if (load.kind === 'double') {
    const a = laidPaint(load.light, world)
    const b = laidPaint(load.dark, world)
    return BLEND.map((share, i) => ({
      paint: {
        optics: share <= 0 ? a.optics : share >= 1 ? b.optics : wetBlend(a.optics, b.optics, share),
        finish: share < 0.5 ? a.finish : b.finish,
      },
      end: (i + 1) / BLEND.length,
    }))
  }
  const own = world.paint(load.cake.id)
  const list = own?.strips.length ? own.strips : load.cake.strips
  const total = list.reduce((s, strip) => s + strip.width, 0)
  let sum = 0
  return list.map(strip => ({
    paint: { optics: opticsOfColour(strip.colour), finish: own?.finish ?? ('matte' as const) },
    end: (sum += strip.width) / total,
  }))
}

/** Share of the width that a strip goes on beneath the next, so that no skin shows between. */
const UNDER = 0.04

export const linePaints = ({ load }: LineStep): { id: string; name: string; colour: string }[] =>
  load.kind === 'one'
    ? [load.paint]
    : load.kind === 'double'
      ? [load.light, load.dark]
      : [{ id: load.cake.id, name: load.cake.name, colour: load.cake.colour }]

function printsOf(step: LineStep, world: World): Print[] {
  const across = strips(step, world)
  const film = brushFilm(step.brush)
  return sidesOf(step, world).flatMap(({ spines, mirror }) => {
    const rings: Ring[][] = across.map(() => [])
    const right = (step.dark === 'right') !== mirror
    const ends = [0, ...across.map(s => s.end)]
    const cuts = ends.map(e => (right ? e - 0.5 : 0.5 - e))
    for (const s of spines)
      ribbons(world.ground.surface, s, cuts, UNDER).forEach((r, i) => rings[i]!.push(...r))
    return across.map(({ paint }, i): Print => ({
      rings: rings[i]!,
      spread: null,
      paints: [paint],
      axis: null,
      strips: null,
      film,
      opacity: opacityOf(film),
      softness: across.length > 1 ? 0.22 : 0.1,
      grain: across.length > 1 ? 0.2 : 0.08,
    }))
  })
}

const areaOf = (rings: readonly Ring[]): number => Math.abs(rings.reduce((sum, r) => sum + signedArea(r), 0))

/** Circular mean of directions, degrees; null when they cancel out. */
export function meanDirection(list: readonly number[]): number | null {
  const x = list.reduce((s, a) => s + Math.sin((a * Math.PI) / 180), 0)
  const y = list.reduce((s, a) => s + Math.cos((a * Math.PI) / 180), 0)
  return Math.hypot(x, y) < 1e-3 * Math.max(1, list.length) ? null : (Math.atan2(x, y) * 180) / Math.PI
}

const endTangent = ({ points }: Spine): number =>
  bearing(points[Math.max(0, points.length - 3)]!, points.at(-1)!)

export const lineKind: StepKind<LineStep> = {
  kind: 'line',
  words: 'brushwork',
  schema: lineSchema,
  sheets: () => [],
  paints: linePaints,
  prints: printsOf,
  outlines: () => [],
  lines(step, world) {
    const around = isAround(step.shape)
    const w = around ? null : whereIs(world.ground, anchorOf(step.points), null, world.finger ?? FINGER_MM)
    const host =
      step.of?.use === 'step'
        ? (world.steps?.find(s => s.id === (step.of as { step: string }).step) as
            { label?: string } | undefined)
        : undefined
    const { load } = step
    const colour =
      load.kind === 'one'
        ? load.paint.name
        : load.kind === 'double'
          ? `${load.light.name} with ${load.dark.name} on its ${step.dark} edge`
          : `${load.cake.name} across the brush`
    return [
      { label: 'stroke', text: `${shapeWords(step.shape)}${host?.label ? ` of "${host.label}"` : ''}` },
      ...(w
        ? [
            {
              label: 'where',
              text: `${[w.landmark, w.midline].join('; ')}${step.twin.rule === 'none' ? '' : ', and its twin'}`,
            },
          ]
        : []),
      { label: 'colour', text: `${colour}, ${BRUSHES[step.brush].name}` },
    ]
  },
  effort: (step, world) =>
    strokeEffort(
      sidesOf(step, world).flatMap(s => s.spines.map(p => lengthOf(p.points, p.closed))),
      BRUSHES[step.brush].line,
    ),
  fields: [
    { control: 'brushwork', path: '', label: 'Stroke' },
    { control: 'handles', path: 'points', label: 'Where' },
    { control: 'twin', path: 'twin', label: 'Twin' },
  ],
  anchor: step => (step.points.length ? anchorOf(step.points) : null),
  tool: step => step.brush,
  paintPaths: ({ load }) =>
    load.kind === 'one'
      ? [['load', 'paint']]
      : load.kind === 'double'
        ? [
            ['load', 'light'],
            ['load', 'dark'],
          ]
        : [['load', 'cake']],
  boxes: (step, world) => sidesOf(step, world).flatMap(s => s.spines.map(p => boxOf(ringOf(p.points)))),
  dries: () => 30,
  lays: (step, world) => [
    {
      refs: linePaints(step),
      mg: printsOf(step, world).reduce((sum, print) => sum + (areaOf(print.rings) / 100) * print.film, 0),
    },
  ],
  pointers(step, world) {
    if (isAround(step.shape)) return []
    const shape = step.shape
    const { flow } = shapeOf(shape)
    return liesOf(step, world.ground).map((lie): Pointer => {
      const spines = inTheFlat(lie, world, h => shapeOf(shape).draw(h, step.params, step.brush), mapSpine)
      const box = spines.reduce((b, s) => boxOf(ringOf(s.points), b), { ...EMPTY_BOX })
      const mean =
        flow === 'none' || !spines.length
          ? null
          : flow === 'both'
            ? bearing(spines[0]!.points[0]!, spines[0]!.points.at(-1)!)
            : meanDirection(spines.map(endTangent))
      return {
        at: anchorOf(lie.points),
        heading: mean === null ? null : flow === 'from' ? mean + 180 : mean,
        size: spines.length ? Math.hypot(box.maxX - box.minX, box.maxY - box.minY) : 0,
        twin: lie.twin,
        both: flow === 'both',
      }
    })
  },
}
