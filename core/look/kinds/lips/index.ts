import { boxOf, polygonArea, regionOf, type Point, type Ring } from '../../../geometry'
import { effortFrom, HANDS, task } from '../../../order'
import { opacityOf, TAKES_UP } from '../../../paint'
import { lipRings } from '../../../skin'
import type { CardLine, Moves, StepKind } from '../kind'
import { nearRing, quickRings } from '../marks'
import { laidPaint } from '../paints'
import { BY_BRUSH, printedRings, type Axis, type Print } from '../print'
import type { World } from '../world'
import { lipsSchema, type LipsStep } from './schema'

/** Film that a cotton bud leaves on lips, mg/cm2 (common practice). */
const FILM = 1.9

/** The lips of a step as rings on the skin; none on an arm. */
function lipsRings({ which }: Pick<LipsStep, 'which'>, { ground }: Pick<World, 'ground'>): Ring[] {
  const lips = ground.face && lipRings(ground.face)
  return lips ? (which === 'both' ? [lips.upper, lips.lower] : [lips[which]]) : []
}

const area = (step: LipsStep, world: World): number =>
  regionOf(lipsRings(step, world), 'nonzero').reduce((s, q) => s + polygonArea(q), 0)

function printsOf(step: LipsStep, world: World): Print[] {
  const rings = regionOf(lipsRings(step, world), 'nonzero').flatMap(q => [q.outer, ...q.holes])
  const middle: Point = world.ground.face?.landmarks.mid.mouth ?? [0, 0]
  const corner = world.ground.face?.landmarks.right.mouthCorner ?? [20, 0]
  const out: Axis = { kind: 'out', from: middle, reach: Math.max(5, corner[0] - middle[0]) }
  if (!rings.length) return []
  return [
    {
      rings,
      spread: null,
      paints: step.colours.map(c => laidPaint(c, world)),
      axis: step.colours.length > 1 ? out : null,
      strips: null,
      film: FILM,
      opacity: opacityOf(FILM),
      softness: 0.4,
      grain: 0.12,
      ...BY_BRUSH,
      meets: { dabs: 1, takesUp: TAKES_UP.brush },
    },
  ]
}

function linesOf(step: LipsStep, { ground }: World): CardLine[] {
  const which = step.which === 'both' ? 'both lips' : `${step.which} lip`
  const tool = step.tool === 'cotton bud' ? 'a cotton bud' : "the person's own brush"
  return [
    { label: 'where', text: ground.face ? which : `there are none on a ${ground.words}` },
    { label: 'colour', text: step.colours.map(c => c.name).join(', outward to ') },
    { label: 'with', text: `${tool}, never shared` },
  ]
}

/** Lips are where they are. */
const moves: Moves<LipsStep> = {
  carry: () => {},
  misfit: ({ label }, { ground }) =>
    ground.face ? null : { sentence: `${label}: there are no lips on a ${ground.words}.` },
  aim: () => {},
  grow: () => {},
  reshape: () => {},
  mirror: () => {},
  becomeTwin: () => {},
}

const silhouetteOf = (step: LipsStep, world: World) => quickRings(printsOf, step, world)

/** The lips themselves. */
export const lipsKind: StepKind<LipsStep> = {
  kind: 'lips',
  words: 'lips',
  schema: lipsSchema,
  sheets: () => [],
  paintPlaces: step => step.colours.map((ref, i) => ({ path: ['colours', i], ref })),
  lays: (step, world) => [{ refs: step.colours, mg: (area(step, world) / 100) * FILM }],
  tool: step => step.tool,
  effort: () => effortFrom([task('stroke', HANDS.lips)], 1),
  dries: () => 45,
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) => lipsRings(step, world).map(r => boxOf(r)),
  silhouette: silhouetteOf,
  contour: (step, world) => printsOf(step, world).flatMap(printedRings),
  keepsFree: () => [],
  follows: () => [],
  boundTo: () => null,
  anchor: () => null,
  pointers: () => [],
  mayTwin: () => false,
  held: () => 'mark',
  hit: (step, world, at) => (silhouetteOf(step, world).some(r => nearRing(r, at)) ? { twin: false } : null),
  handling: () => ({ room: [0, 0], outline: 'open', words: 'handles' }),
  moves,
  cautions: { keepOff: () => [], byHand: () => null, onLips: true },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'lips', path: '', label: 'Lips' },
  { control: 'paints', path: 'colours', label: 'Colours, from the middle out' },
] as const
