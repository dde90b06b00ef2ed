import { z } from 'zod'
import { boxOf, clockwise, distance, outlineThrough, polygonArea, regionOf, type Ring } from '../../geometry'
import { HANDS } from '../../order'
import { linearOf } from '../../paint'
import { ribbons, roundOn, zoneWords } from '../../skin'
import { pathThrough, spine, thinThickThin } from '../../stroke'
import { sourceRings } from '../around'
import { anchorOf, liesOf, onSkinBy } from '../handles'
import {
  bounded,
  handlesSchema,
  idSchema,
  linkedTwinSchema,
  sparkColourSchema,
  stepBase,
  zoneSchema,
} from '../parts'
import { FINGER_MM, whereIs } from '../where'
import { flakesOn, GLITTER_SORTS, GLITTERS, type GlitterSort } from './flakes'
import type { StepKind, World } from './kind'

export const GLITTER_AREAS = ['patch', 'trail', 'outline', 'zones', 'print'] as const

/** As many handles an area of glitter has at most. */
export const GLITTER_HANDLES = 12

export const glitterSchema = z
  .strictObject({
    kind: z.literal('glitter'),
    ...stepBase,
    twin: linkedTwinSchema,
    sort: z.enum(GLITTER_SORTS as [GlitterSort, ...GlitterSort[]], {
      error: `must be one of ${GLITTER_SORTS.join(', ')}`,
    }),
    area: z.enum(GLITTER_AREAS, { error: `must be one of ${GLITTER_AREAS.join(', ')}` }),
    points: handlesSchema(GLITTER_HANDLES),
    /** Width of a trail, mm. */
    width: bounded(1, 60),
    zones: z.array(zoneSchema).max(20),
    amount: bounded(0.05, 1),
    colour: sparkColourSchema,
    /** The step on whose wet paint it goes, or over whose print; null when it goes on last. */
    on: idSchema.nullable(),
  })
  .superRefine((step, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    const least = { patch: 2, trail: 2, outline: 3, zones: 0, print: 0 }[step.area]
    if (step.points.length < least || (least === 0 && step.points.length))
      say(least ? `must have at least ${least} points` : 'must be empty for this area', 'points')
    if (step.area === 'zones' && !step.zones.length) say('must name at least one zone', 'zones')
    if (step.area === 'print' && step.on === null) say('must name the step over whose print it goes', 'on')
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

/** Where a step's glitter lies on the skin. */
export function glitterRings(step: GlitterStep, world: World): Ring[] {
  const { ground } = world
  if (step.area === 'zones')
    return regionOf(
      step.zones.flatMap(id => ground.zone(id) ?? []),
      'nonzero',
    ).flatMap(q => [q.outer, ...q.holes])
  if (step.area === 'print')
    return step.on ? sourceRings({ use: 'step', step: step.on, openings: null }, step.id, world) : []
  return liesOf(step, ground).flatMap((lie): Ring[] => {
    if (step.area === 'patch')
      return [roundOn(ground.surface, lie.points[0]!, distance(lie.points[0]!, lie.points[1]!), 40)]
    if (step.area === 'outline') return [...clockwise([Float64Array.from(outlineThrough(lie.points))])]
    return onSkinBy(
      lie,
      world,
      h => [spine(pathThrough(h), thinThickThin(step.width, step.width * 0.35))],
      (s, to) => ({ ...s, points: s.points.map(to) }),
    ).flatMap(s => ribbons(ground.surface, s).flat())
  })
}

const inWords = (step: GlitterStep, world: World): string => {
  const host = step.on
    ? (world.steps as readonly { id: string; label?: string }[] | undefined)?.find(s => s.id === step.on)
    : undefined
  if (step.area === 'zones') return step.zones.map(zoneWords).join(', ')
  if (step.area === 'print') return `over "${host?.label ?? 'a step that is gone'}"`
  const w = whereIs(world.ground, anchorOf(step.points), null, world.finger ?? FINGER_MM)
  return `${w.landmark}; ${w.midline}${step.twin.rule === 'none' ? '' : ', and its twin'}`
}

export const glitterKind: StepKind<GlitterStep> = {
  kind: 'glitter',
  words: 'glitter',
  schema: glitterSchema,
  sheets: () => [],
  paints: () => [],
  prints: (step, world) => [
    flakesOn(
      glitterRings(step, world),
      step.sort,
      linearOf(step.colour.colour),
      step.amount,
      step.id,
      step.area === 'print' ? 0.3 : step.sort === 'gel' ? 0.8 : 2.4,
    ),
  ],
  outlines: () => [],
  lines: (step, world) => [
    {
      label: 'glitter',
      text: `${GLITTERS[step.sort].words}, ${step.colour.name.toLowerCase()}, ${step.amount < 0.35 ? 'sparse' : step.amount < 0.75 ? 'usual' : 'thick'}, about ${(regionOf(glitterRings(step, world), 'nonzero').reduce((s, q) => s + polygonArea(q), 0) / 100).toFixed(1)} cm²`,
      estimate: true,
    },
    { label: 'where', text: inWords(step, world) },
    { label: 'when', text: step.on ? 'while that paint is wet' : 'last' },
  ],
  effort: step => ({ seconds: HANDS.glitter * (step.twin.rule === 'none' ? 1 : 2), loads: 0 }),
  fields: [
    { control: 'glitter', path: '', label: 'Glitter' },
    { control: 'handles', path: 'points', label: 'Where' },
    { control: 'twin', path: 'twin', label: 'Twin' },
  ],
  anchor: step => (step.points.length ? anchorOf(step.points) : null),
  tool: step => `glitter ${step.sort}`,
  paintPaths: () => [],
  boxes: (step, world) => glitterRings(step, world).map(r => boxOf(r)),
  dries: step => (step.sort === 'gel' ? 60 : 0),
  lays: () => [],
  pointers: () => [],
}
