import {
  boxOf,
  clockwise,
  difference,
  distance,
  offset,
  outlineThrough,
  polygonArea,
  regionOf,
  ringsOf,
  tenth,
  type Ring,
} from '../../../geometry'
import { effortFrom, HANDS, task } from '../../../order'
import { lipRings, ribbons, roundOn, zoneWords } from '../../../skin'
import { pathThrough, spine, thinThickThin } from '../../../stroke'
import { liesOf, onSkinBy, type Lie } from '../../placement'
import { sourceRings } from '../contour'
import { flakesOn, GLITTERS } from '../flakes'
import { keptFreeByZones } from '../keepsFree'
import { freeOf, freeWords } from '../leftFree'
import type { CardLine, Moves, StepKind } from '../kind'
import { anchorOfMark, carryHandles, hitMark, markMoves, quickRings, whereOfMark } from '../marks'
import type { Print } from '../print'
import type { World } from '../world'
import { AREA_HANDLES, glitterSchema, type GlitterStep } from './schema'

/** Areas that go over the prints of earlier steps. */
const OVER: readonly GlitterStep['area'][] = ['print', 'rim']

/** A patch, a trail or an outlined area of glitter on one side. */
function areaRings(step: GlitterStep, lie: Lie, world: World): Ring[] {
  const { surface } = world.ground
  const [a, b] = lie.points
  if (step.area === 'patch') return [roundOn(surface, a!, distance(a!, b!), 40)]
  if (step.area === 'outline') return [...clockwise([Float64Array.from(outlineThrough(lie.points))])]
  return onSkinBy(
    lie,
    world,
    h => [spine(pathThrough(h), thinThickThin(step.width, step.width * 0.35))],
    (s, to) => ({ ...s, points: s.points.map(to) }),
  ).flatMap(s => ribbons(surface, s).flat())
}

/** The prints over which glitter goes. */
const overPrints = ({ on, over, id }: GlitterStep, world: World): Ring[] =>
  [...(on === null ? [] : [on]), ...(over ?? [])].flatMap(step =>
    sourceRings({ use: 'step', step, openings: null }, id, world),
  )

/** A band inside the edge of some prints taken together, mm wide. */
function rimOf(rings: readonly Ring[], width: number): Ring[] {
  const whole = regionOf(clockwise(rings), 'nonzero')
  return ringsOf(difference(whole, offset(whole, -width)))
}

/** Where a step's glitter lies on the skin. */
function glitterRings(step: GlitterStep, world: World): Ring[] {
  const { ground } = world
  if (step.area === 'zones')
    return regionOf(
      step.zones.flatMap(id => ground.zone(id) ?? []),
      'nonzero',
    ).flatMap(q => [q.outer, ...q.holes])
  if (step.area === 'print') return overPrints(step, world)
  if (step.area === 'rim') return rimOf(overPrints(step, world), step.width)
  if (step.area === 'lowerLip') return ground.face ? [lipRings(ground.face).lower] : []
  return liesOf(step, ground).flatMap(lie => areaRings(step, lie, world))
}

/**
 * How soft the edge of the glitter is, mm: sharp over a print, where gel holds it, and broad where it is
 * strewn.
 */
const softnessOf = ({ area, sort }: GlitterStep): number =>
  OVER.includes(area) ? 0.3 : sort === 'gel' ? 0.8 : 2.4

const printsOf = (step: GlitterStep, world: World): Print[] => [
  {
    ...flakesOn(glitterRings(step, world), step.sort, step.colour, step.amount, step.id, softnessOf(step)),
    ...freeOf(step, world.ground),
  },
]

const labelIn =
  (world: World) =>
  (id: string): string[] => {
    const label = world.host?.(id)?.step.label
    return label ? [label] : []
  }

function whereOf(step: GlitterStep, world: World): string {
  const host = step.on ? world.host?.(step.on)?.step : undefined
  if (step.area === 'zones') return step.zones.map(zoneWords).join(', ')
  if (step.area === 'lowerLip') return 'lower lip'
  if (OVER.includes(step.area)) {
    const labels = [host?.label ?? 'a step that is gone', ...(step.over ?? []).flatMap(labelIn(world))]
    const edge = step.area === 'rim' ? `${step.width} mm along the edges of` : 'over'
    return `${edge} ${labels.map(l => `"${l}"`).join(', ')}`
  }
  return whereOfMark(step, world) ?? ''
}

function linesOf(step: GlitterStep, world: World): CardLine[] {
  const cm2 = regionOf(glitterRings(step, world), 'nonzero').reduce((s, q) => s + polygonArea(q), 0) / 100
  const amount = step.amount < 0.35 ? 'sparse' : step.amount < 0.75 ? 'usual' : 'thick'
  const free = freeWords(step)
  const what = [GLITTERS[step.sort].words, step.colour.name.toLowerCase(), amount].join(', ')
  return [
    { label: 'glitter', text: `${what}, about ${cm2.toFixed(1)} cm²`, estimate: true },
    { label: 'where', text: whereOf(step, world) },
    ...(free.length ? [{ label: 'left free', text: free.join(' and ') }] : []),
    { label: 'when', text: needsWet(step) ? 'while that paint is wet' : 'last: it holds by its own gel' },
  ]
}

/** Whether glitter sticks only while the paint of its host is wet: gel and chunky glitter hold by their own gel. */
export const needsWet = ({ on, sort }: GlitterStep): boolean =>
  on !== null && sort !== 'gel' && sort !== 'chunky'

const moves: Moves<GlitterStep> = {
  ...markMoves(() => []),
  carry(step, transfer) {
    const by = carryHandles(step, transfer)
    step.zones = transfer.zones(step.zones)
    step.width = tenth(step.width * by)
  },
}

const silhouetteOf = (step: GlitterStep, world: World) => quickRings(printsOf, step, world)

/**
 * Glitter is seen by the brightest of its flakes, whatever lies between: it is judged where it is strongest
 * (common practice).
 */
const JUDGED_AT = 0.92

/** Glitter, on wet paint or last. */
export const glitterKind: StepKind<GlitterStep> = {
  kind: 'glitter',
  words: 'glitter',
  schema: glitterSchema,
  sheets: () => [],
  paintPlaces: () => [],
  lays: () => [],
  tool: step => `glitter ${step.sort}`,
  effort: step => effortFrom([task('glitter', HANDS.glitter * (step.twin.rule === 'none' ? 1 : 2))], 0),
  dries: step => (step.sort === 'gel' ? 60 : 0),
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) => glitterRings(step, world).map(r => boxOf(r)),
  silhouette: silhouetteOf,
  // Nobody goes around loose flakes.
  contour: () => [],
  keepsFree: ({ zones }, ground) => (zones.length ? keptFreeByZones(ground, true) : []),
  judgedAt: JUDGED_AT,
  follows: step => (step.on !== null && OVER.includes(step.area) ? [step.on, ...(step.over ?? [])] : []),
  boundTo: step => step.on,
  anchor: anchorOfMark,
  pointers: () => [],
  mayTwin: () => true,
  held: () => 'mark',
  hit: (step, world, at) => hitMark(step, silhouetteOf(step, world), world, at),
  handling: ({ area }) => ({
    room: AREA_HANDLES[area],
    outline: area === 'outline' ? 'closed' : 'open',
    words: 'handles',
  }),
  moves,
  cautions: {
    keepOff: ({ zones }) => (zones.length ? ['zones'] : ['shift']),
    byHand: () => 'draw its area round it',
    isSparkle: true,
  },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'glitter', path: '', label: 'Glitter' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
  { control: 'free', path: '', label: 'Left free' },
] as const
