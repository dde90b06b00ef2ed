import { boxOf, clockwise, tenth, wrapDegrees, type Point } from '../../../geometry'
import { effortFrom, HANDS, task } from '../../../order'
import { linearOf, opacityOf, opticsOfColour } from '../../../paint'
import { roundOn } from '../../../skin'
import { anchorOf, liesOf } from '../../placement'
import type { CardLine, Moves, Pointer, StepKind } from '../kind'
import { hitMark, markMoves, offAim, quickRings, whereOfMark } from '../marks'
import { BY_BRUSH, type Print } from '../print'
import type { World } from '../world'
import { rimOf } from './cut'
import { GEM_SIZE, gemSchema, MOST_GEMS, type GemStep } from './schema'

/** The gems of a step with its twin's, on the skin. */
export const gemsOf = (
  step: GemStep,
  { ground }: Pick<World, 'ground'>,
): { at: Point; heading: number; twin: boolean }[] =>
  liesOf(step, ground).flatMap(lie =>
    lie.points.map(at => ({
      at,
      heading: lie.mirror ? -step.heading : lie.twin ? step.heading + 180 : step.heading,
      twin: lie.twin,
    })),
  )

/** The optics of the shade that a gem throws. */
const SHADE = '#120C10'

/** A gem, above the shade that it throws down and to the right of the lamp. */
function gemPrints(step: GemStep, at: Point, heading: number, world: World): Print[] {
  const { surface } = world.ground
  const { size, cut } = step
  const rim = (k: number) => (d: number) => (size / 2) * rimOf(cut, d - heading) * k
  const gem: Print = {
    rings: [roundOn(surface, at, rim(1), 60)],
    spread: null,
    paints: [{ optics: opticsOfColour(step.colour.colour), finish: 'metallic' }],
    axis: null,
    strips: null,
    film: 3,
    opacity: opacityOf(3),
    softness: 0,
    grain: 0,
    ...BY_BRUSH,
    meets: null,
    particles: {
      kind: 'gem',
      cut,
      colour: linearOf(step.colour.colour),
      at,
      size,
      heading,
      ...(step.colour.finish && { finish: step.colour.finish }),
    },
  }
  const shade: Print = {
    ...gem,
    rings: [roundOn(surface, [at[0] + 0.06 * size, at[1] + 0.12 * size], rim(1.05), 40)],
    paints: [{ optics: opticsOfColour(SHADE), finish: 'matte' }],
    film: 0.55,
    opacity: 0.3,
    softness: 0.06 * size,
    particles: undefined,
  }
  return [shade, gem]
}

const printsOf = (step: GemStep, world: World): Print[] =>
  gemsOf(step, world).flatMap(({ at, heading }) => gemPrints(step, at, heading, world))

const pointersOf = (step: GemStep, world: World): Pointer[] =>
  gemsOf(step, world).map(g => ({
    at: g.at,
    heading: step.cut === 'drop' ? g.heading : null,
    size: step.size,
    twin: g.twin,
  }))

function linesOf(step: GemStep, world: World): CardLine[] {
  const n = gemsOf(step, world).length
  const { colour, cut, size, fix } = step
  return [
    { label: 'gems', text: `${n} ${colour.name.toLowerCase()} ${cut}, ${size} mm, ${fix}` },
    { label: 'where', text: whereOfMark(step, world) ?? '' },
  ]
}

/** A gem turns and grows by numbers of its own: its handles are only where it is set. */
const moves: Moves<GemStep> = {
  ...markMoves(pointersOf),
  aim(step, world, focus) {
    const by = offAim(pointersOf(step, world), world, focus)
    if (by !== null) step.heading = tenth(wrapDegrees(step.heading + by))
  },
  spin(step, degrees) {
    step.heading = tenth(((step.heading + degrees + 540) % 360) - 180)
  },
  grow(step, _world, by) {
    const [least, most] = GEM_SIZE
    step.size = Math.min(most, Math.max(least, tenth(step.size * by)))
  },
  mirror(step) {
    step.heading = -step.heading + 0
  },
  becomeTwin(own, _step, lie) {
    if (lie.mirror) own.heading = -own.heading + 0
  },
}

const silhouetteOf = (step: GemStep, world: World) => quickRings(printsOf, step, world)

/** Gems, set on the skin last. */
export const gemKind: StepKind<GemStep> = {
  kind: 'gem',
  words: 'gems',
  schema: gemSchema,
  sheets: () => [],
  paintPlaces: () => [],
  lays: () => [],
  tool: () => 'tweezers',
  effort: (step, world) => effortFrom([task('glue', HANDS.gem * gemsOf(step, world).length)], 0),
  dries: step => (step.fix === 'glued' ? 30 : 0),
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) =>
    gemsOf(step, world).map(g => boxOf(roundOn(world.ground.surface, g.at, step.size / 2, 8))),
  silhouette: silhouetteOf,
  contour: (step, world) =>
    printsOf(step, { ...world, flat: true }).flatMap(p => (p.particles ? [] : clockwise(p.rings))),
  keepsFree: () => [],
  follows: () => [],
  boundTo: () => null,
  anchor: step => anchorOf(step.points),
  pointers: pointersOf,
  mayTwin: () => true,
  held: () => 'mark',
  hit: (step, world, at) => hitMark(step, silhouetteOf(step, world), world, at),
  handling: () => ({ room: [1, MOST_GEMS], outline: 'open', words: 'gems' }),
  moves,
  cautions: { keepOff: () => ['shift'], byHand: () => 'set it elsewhere', isSparkle: true },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'gem', path: '', label: 'Gems' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
] as const
