import { boxOf, clockwise, polygonArea, regionOf, tenth } from '../../../geometry'
import { dabSeconds, dryingSeconds, effortFrom, HANDS, loadsFor, task } from '../../../order'
import { filmOf, TOOLS } from '../../../paint'
import { darkOutward, other } from '../dark'
import type { CardLine, Effort, Moves, StepKind } from '../kind'
import { freeWords } from '../leftFree'
import { anchorOfMark, carryHandles, hitMark, markMoves, quickRings, whereOfMark } from '../marks'
import { printedRings } from '../print'
import { toolLoadPaints, toolLoadPlaces, toolLoadWords } from '../toolLoad'
import { toolIn, type World } from '../world'
import { printsOf, pullFilm, stripRings } from './prints'
import { MANNER_HANDLES, MANNER_WORDS, pullSchema, type Pull } from './schema'

/** What a pull covers, each place once, mm2. */
const areaOf = (step: Pull, world: World): number =>
  regionOf(
    printsOf(step, { ...world, flat: true }).flatMap(p => clockwise(p.rings)),
    'nonzero',
  ).reduce((sum, p) => sum + polygonArea(p), 0)

/** A tool that was pressed down is led on at so many mm a second (common practice). */
const PACE = 45
/** Going over strips until they are soft takes so many times as long (common practice). */
const UNTIL_SOFT = 1.8

function effortOf(step: Pull, world: World): Effort {
  const area = areaOf(step, world)
  const tool = toolIn(world, step.tool)
  const loads = loadsFor(area, filmOf(tool, step.wetness, 1), step.dabs, tool)
  const once = step.manner === 'drawn' ? area / Math.max(3, step.width) / PACE : dabSeconds(area, 1, tool)
  const hands = once * step.dabs * (step.soft ? UNTIL_SOFT : 1)
  return effortFrom([task('load', HANDS.reload * loads), task('dab', hands)], loads)
}

function linesOf(step: Pull, world: World): CardLine[] {
  const times = step.dabs > 1 ? `, gone over ${step.dabs} times` : ''
  const size = step.manner === 'turned' ? `${Math.round(step.sweep)}° round` : `${step.width} mm wide`
  const free = freeWords(step)
  const left = free.length ? [`${free.join(' and ')} left free`] : []
  return [
    { label: 'base', text: `${MANNER_WORDS[step.manner]}, ${size}` },
    { label: 'where', text: [whereOfMark(step, world) ?? '', ...left].join('; ') },
    { label: 'colour', text: `${toolLoadWords(step.load)}${darkWords(step)}` },
    {
      label: 'tool',
      text: `${TOOLS[step.tool].name}, ${step.wetness}${times}${step.soft ? ', until the strips are soft' : ''}${step.ends < 1 ? ', running out toward its end' : ''}`,
    },
  ]
}

function darkWords({ load, manner, dark }: Pull): string {
  if (load.kind === 'one' || load.kind === 'mixed') return ''
  if (manner === 'turned') return dark === 'right' ? ', its far end outward' : ', its far end inward'
  return `, its far end on the ${dark} of the way`
}

const usual = markMoves<Pull>(() => [])
const moves: Moves<Pull> = {
  ...usual,
  carry(step, transfer) {
    const by = carryHandles(step, transfer)
    step.width = wide(step.width * by)
  },
  grow(step, world, by) {
    usual.grow(step, world, by)
    step.width = wide(step.width * by)
  },
  mirror(step, points, from) {
    if (step.manner === 'turned') return
    if (darkOutward(step.points, step.dark, from) * darkOutward(points, step.dark, from) < 0)
      step.dark = other(step.dark)
  },
  becomeTwin(own, _step, lie) {
    if (!lie.mirror) return
    own.angle = -own.angle
    if (own.manner === 'turned') turnBack(own)
    else own.dark = other(own.dark)
  },
}
const wide = (mm: number): number => tenth(Math.min(120, Math.max(3, mm)))

/** A turn seen in a mirror goes round the other way: it begins where it ended. */
function turnBack(own: Pull): void {
  const [pivot, edge] = own.points
  const a = (-own.sweep * Math.PI) / 180
  const [x, y] = [edge![0] - pivot![0], edge![1] - pivot![1]]
  own.points[1] = [
    tenth(pivot![0] + x * Math.cos(a) - y * Math.sin(a)),
    tenth(pivot![1] + x * Math.sin(a) + y * Math.cos(a)),
  ]
}

const silhouetteOf = (step: Pull, world: World) => quickRings(printsOf, step, world)

/** A base pulled, stamped or turned with a loaded sponge or soft brush: a split cake's strips stay. */
export const pullKind: StepKind<Pull> = {
  kind: 'pull',
  words: 'base by sponge',
  schema: pullSchema,
  sheets: () => [],
  paintPlaces: step => toolLoadPlaces(step.load).map(({ path, ref }) => ({ path: ['load', ...path], ref })),
  lays: (step, world) => [
    { refs: toolLoadPaints(step.load), mg: (areaOf(step, world) / 100) * pullFilm(step, world) },
  ],
  tool: step => step.tool,
  effort: effortOf,
  dries: (step, world) => dryingSeconds(step.wetness, true, pullFilm(step, world)),
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) => printsOf(step, { ...world, flat: true, quick: true }).map(p => boxOf(p.rings[0]!)),
  silhouette: silhouetteOf,
  contour: (step, world, strips) =>
    strips ? stripRings(step, strips, world) : printsOf(step, { ...world, flat: true }).flatMap(printedRings),
  keepsFree: () => [],
  follows: () => [],
  boundTo: () => null,
  anchor: anchorOfMark,
  pointers: () => [],
  mayTwin: () => true,
  held: () => 'base',
  hit: (step, world, at) => hitMark(step, silhouetteOf(step, world), world, at),
  handling: ({ manner }) => ({ room: MANNER_HANDLES[manner], outline: 'open', words: 'handles' }),
  moves,
  cautions: {
    keepOff: () => ['free', 'shift'],
    byHand: () => 'leave the place free, or move its handles',
    isBase: true,
  },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'pull', path: '', label: 'How it is led' },
  { control: 'toolLoad', path: 'load', label: 'Colour' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
  { control: 'free', path: '', label: 'Left free' },
  { control: 'tool', path: 'tool', label: 'Tool' },
  { control: 'wetness', path: 'wetness', label: 'Wetness' },
  { control: 'dabs', path: 'dabs', label: 'Times over' },
  { control: 'switch', path: 'soft', label: 'Gone over until its strips are soft' },
] as const
