import {
  boxOf,
  clockwise,
  difference,
  offset,
  outlineThrough,
  polygonArea,
  regionOf,
  ringOf,
  ringsOf,
  tenth,
  union,
  type Polygon,
  type Ring,
} from '../../../geometry'
import { effortFrom, HANDS, task } from '../../../order'
import { ribbons } from '../../../skin'
import { pathThrough, spine } from '../../../stroke'
import { liesOf, onSkinBy, type Lie } from '../../placement'
import { madeFrom, sourceRings } from '../contour'
import { freeOf, freeWords } from '../leftFree'
import type { CardLine, Effort, Moves, StepKind } from '../kind'
import { anchorOfMark, carryHandles, hitMark, markMoves, whereOfMark } from '../marks'
import { BY_BRUSH, type Print } from '../print'
import type { World } from '../world'
import { ACT_WORDS, REWORK_HANDLES, reworkSchema, type Rework } from './schema'

function drawnRings(step: Rework, lie: Lie, world: World): Ring[] {
  if (step.area === 'outline') return [...clockwise([Float64Array.from(outlineThrough(lie.points))])]
  return onSkinBy(
    lie,
    world,
    h => [spine(pathThrough(h), () => step.width)],
    (s, to) => ({ ...s, points: s.points.map(to) }),
  ).flatMap(s => ribbons(world.ground.surface, s).flat())
}

/** The prints over which it is done, as one region. */
const overPrints = ({ over, id }: Rework, world: World): Polygon[] =>
  union(
    over.flatMap(step =>
      regionOf(clockwise(sourceRings({ use: 'step', step, openings: null }, id, world)), 'nonzero'),
    ),
  )

/**
 * Where it is done on the skin. It is asked for with fine and with quick outlines by turns: both are kept.
 */
function reworkRings(step: Rework, world: World): Ring[] {
  const { area, over, width, points, twin } = step
  const flat: World = { ...world, flat: true }
  if (!world.memo) return ringsMade(step, flat)
  // A step that is being changed in place must not be taken for what it was.
  const from = [area, over, width, points, twin, ...madeFrom(over, step.id, { ...flat, quick: false })]
  const kept = world.memo.recall(step, from, () => new Map<boolean, Ring[]>())
  const quick = world.quick ?? false
  const rings = kept.get(quick) ?? ringsMade(step, flat)
  kept.set(quick, rings)
  return rings
}

function ringsMade(step: Rework, world: World): Ring[] {
  const { ground } = world
  switch (step.area) {
    case 'all': {
      const { minX, minY, maxX, maxY } = ground.box
      return [
        ringOf([
          [minX, minY],
          [maxX, minY],
          [maxX, maxY],
          [minX, maxY],
        ]),
      ]
    }
    case 'print':
      return ringsOf(overPrints(step, world))
    case 'rim': {
      const whole = overPrints(step, world)
      return ringsOf(difference(offset(whole, step.width / 2), offset(whole, -step.width / 2)))
    }
    default:
      return liesOf(step, ground).flatMap(lie => drawnRings(step, lie, world))
  }
}

function printsOf(step: Rework, world: World): Print[] {
  const rings = reworkRings(step, world)
  if (!rings.length) return []
  return [
    {
      rings,
      ...freeOf(step, world.ground),
      spread: null,
      paints: [],
      axis: null,
      strips: null,
      film: 0,
      opacity: 0,
      softness: step.edge,
      grain: 0,
      ...BY_BRUSH,
      meets: null,
      works:
        step.act === 'blend' ? { kind: 'blend', reach: step.reach } : { kind: 'wipe', stays: step.stays },
    },
  ]
}

const areaOf = (step: Rework, world: World): number =>
  step.area === 'all'
    ? 0
    : regionOf(reworkRings(step, world), 'nonzero').reduce((sum, p) => sum + polygonArea(p), 0)

/** Seconds to wipe a whole face and pat it dry, and for a cm2 of each act (common practice). */
const WIPE_ALL = 40
const PER_CM2 = { wipe: 0.5, wetBrush: 1.6, blend: 0.7 } as const

function effortOf(step: Rework, world: World): Effort {
  const what = step.act === 'blend' ? 'blend' : 'wipe'
  if (step.area === 'all' && step.act !== 'blend') return effortFrom([task('wipe', WIPE_ALL)], 0)
  const start = step.act === 'wipe' ? HANDS.wipe : step.act === 'blend' ? HANDS.blend : HANDS.brushLoad
  return effortFrom([task(what, start + (PER_CM2[step.act] * areaOf(step, world)) / 100)], 0)
}

const TOOL_WORDS = { wipe: 'damp wipe', wetBrush: 'wet brush', blend: 'nearly dry sponge' } as const

function whereOf(step: Rework, world: World): string {
  if (step.area === 'all') return 'everything so far'
  const labels = step.over.map(id => world.host?.(id)?.step.label ?? 'a step that is gone')
  const names = labels.map(l => `"${l}"`).join(', ')
  if (step.area === 'print') return `over ${names}`
  if (step.area === 'rim') return `along the edges of ${names}`
  return whereOfMark(step, world) ?? ''
}

function linesOf(step: Rework, world: World): CardLine[] {
  const free = freeWords(step)
  const left = free.length ? `; ${free.join(' and ')} left free` : ''
  return [
    { label: 'what', text: `${ACT_WORDS[step.act]}, ${TOOL_WORDS[step.act]}` },
    { label: 'where', text: `${whereOf(step, world)}${left}` },
    step.act === 'blend'
      ? { label: 'how far', text: `colours run about ${step.reach} mm into one another`, estimate: true }
      : { label: 'stays', text: `about ${Math.round(100 * step.stays)} % of the tint`, estimate: true },
  ]
}

const usual = markMoves<Rework>(() => [])
const wide = (mm: number) => tenth(Math.min(60, Math.max(1, mm)))
const moves: Moves<Rework> = {
  ...usual,
  carry(step, transfer) {
    step.width = wide(step.width * carryHandles(step, transfer))
  },
  grow(step, world, by) {
    usual.grow(step, world, by)
    step.width = wide(step.width * by)
  },
}

/** Of what covers everything nothing can be taken hold of. */
const silhouetteOf = (step: Rework, world: World): Ring[] =>
  step.area === 'all' ? [] : reworkRings(step, { ...world, flat: true, quick: true })

/** Going over what lies there already: taken off, cleaned, or run together. It lays no paint. */
export const reworkKind: StepKind<Rework> = {
  kind: 'rework',
  words: 'going over',
  schema: reworkSchema,
  sheets: () => [],
  paintPlaces: () => [],
  lays: () => [],
  tool: step => TOOL_WORDS[step.act],
  effort: effortOf,
  dries: step => (step.act === 'blend' ? 0 : 10),
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) => reworkRings(step, { ...world, flat: true, quick: true }).map(r => boxOf(r)),
  silhouette: silhouetteOf,
  // What was taken off has no edge that another could go around.
  contour: () => [],
  keepsFree: () => [],
  follows: step => step.over,
  boundTo: () => null,
  anchor: anchorOfMark,
  pointers: () => [],
  mayTwin: step => step.points.length > 0,
  held: step => (step.points.length ? 'base' : null),
  hit: (step, world, at) => (step.points.length ? hitMark(step, silhouetteOf(step, world), world, at) : null),
  handling: ({ area }) => ({
    room: REWORK_HANDLES[area],
    outline: area === 'outline' ? 'closed' : 'open',
    words: 'handles',
  }),
  moves,
  cautions: { keepOff: () => [], byHand: () => null, laysNothing: true },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'rework', path: '', label: 'Going over' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
  { control: 'free', path: '', label: 'Left free' },
] as const
