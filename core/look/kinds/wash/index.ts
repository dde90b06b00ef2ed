import { boxOf, tenthPoint, type Point } from '../../../geometry'
import { baseSeconds, dryingSeconds, effortFrom, HANDS, loadsFor, STROKE_DRIES, task } from '../../../order'
import { brushFilm, BRUSHES, filmOf, opacityOf, TAKES_UP, takesUpOf, TOOLS } from '../../../paint'
import { zoneWords } from '../../../skin'
import { anchorOf, FINGER_MM, twinMap, whereIs } from '../../placement'
import { dripsFrom } from '../drips'
import { flakesOn, WHITE_GLITTER } from '../flakes'
import { keptFreeByZones } from '../keepsFree'
import { freeOf, freeWords } from '../leftFree'
import type { CardLine, Effort, Moves, StepKind } from '../kind'
import { anchorOfMark, carryHandles, hitMark, markMoves, quickRings, twinWords } from '../marks'
import { laidPaint } from '../paints'
import { printedRings, textureOfTool, type Print } from '../print'
import { acrossTool, toolLoadPaints, toolLoadWords, type Across } from '../toolLoad'
import { heldBy, toolIn, type World } from '../world'
import { axisAfter, axisFor, carriedAxis, isCentred, mappedAxis } from './axis'
import { lipsUnder, outlinesOf, washArea, washRings, washSides } from './region'
import { washSchema, type Wash } from './schema'

/** Standard deviation of the edge that a brush leaves, mm. */
const BRUSH_EDGE = 0.15

/** A hand keeps an eye on as many handles of a drawn outline as this. */
const MOST_DRAWN = 40

const filmOn = (wash: Wash, world: World): number =>
  wash.brush
    ? brushFilm(wash.brush)
    : filmOf(toolIn(world, wash.tool), wash.wetness, wash.dabs) * heldBy(world)

/** What lies along the axis: the strips of a cake, or colours that blend. */
const coloursOf = (wash: Wash, world: World): Across =>
  wash.cake
    ? acrossTool(wash.cake, world)
    : { paints: wash.colours.map(c => laidPaint(c, world)), strips: null, stops: wash.stops }

/** The paints of a base: those of its cake, or its colours. */
const namesOf = (wash: Wash): string[] =>
  wash.cake ? [toolLoadWords(wash.cake)] : wash.colours.map(c => c.name)

const WAYS: Readonly<Record<Wash['axis']['kind'], string>> = {
  out: 'from the middle out',
  line: 'along the line',
  edge: 'in from the edge',
}

function colourWords(wash: Wash): string {
  const names = namesOf(wash)
  const many = names.length > 1 || wash.cake || wash.runsOut !== undefined
  const ends = wash.runsOut === undefined ? '' : ', running out to nothing'
  const bands = wash.axis.kind === 'line' && wash.axis.every ? ', band beside band' : ''
  return `${names.join(' to ')}${many ? `, ${WAYS[wash.axis.kind]}${bands}${ends}` : ''}`
}

function printsOf(wash: Wash, world: World): Print[] {
  const film = filmOn(wash, world)
  const { paints, strips, stops } = coloursOf(wash, world)
  const twin = twinMap(world.ground, wash.twin)
  const across = twin && ((p: Point): [number, number] => [...twin(p)])
  // A sponge's soft rim would leave half the lid bare round an eye: the hand keeps off it, and not the
  // sponge.
  const free = freeOf(wash, world.ground)
  return washSides({ ...wash, free: undefined, holes: undefined }, world.ground).flatMap(
    (rings, side): Print[] => {
      const axis =
        paints.length < 2 && wash.runsOut === undefined
          ? null
          : side && across
            ? mappedAxis(wash.axis, across)
            : wash.axis
      const drips = wash.wetness === 'runny' && !world.flat ? dripsFrom(rings, `${wash.id} ${side}`) : []
      const print: Print = {
        rings: [...rings, ...drips],
        ...free,
        spread: null,
        paints,
        axis,
        strips,
        stops,
        runsOut: wash.runsOut,
        film,
        opacity: opacityOf(film),
        softness: wash.brush ? BRUSH_EDGE : TOOLS[wash.tool].rim,
        grain: wash.brush ? 0.1 : 0.35,
        texture: wash.brush ? 'brush' : textureOfTool(wash.tool),
        wetness: wash.wetness,
        charge: 1,
        meets: { dabs: wash.dabs, takesUp: wash.brush ? TAKES_UP.brush : takesUpOf(wash.tool) },
      }
      const glitter = () => flakesOn(rings, 'fine', WHITE_GLITTER, 0.55, `${wash.id}${side || ''}`)
      return wash.glitter ? [print, { ...glitter(), ...free }] : [print]
    },
  )
}

function whereOf(wash: Wash, { ground, finger = FINGER_MM }: World): string {
  if (wash.points.length) {
    const { landmark } = whereIs(ground, anchorOf(wash.points), null, finger)
    return `drawn outline, ${landmark}${twinWords(wash.twin)}`
  }
  return wash.zones
    .map(id => `${zoneWords(id)}${ground.zone(id) ? '' : ` (there is none on a ${ground.words})`}`)
    .join(', ')
}

function linesOf(wash: Wash, world: World): CardLine[] {
  const { ground } = world
  const { tool, wetness, dabs } = wash
  const lips = lipsUnder(outlinesOf(wash, ground).flat(), wash, ground) ? ['lips'] : []
  const free = [...new Set([...lips, ...freeWords(wash)])]
  const left = free.length ? [`${free.join(' and ')} left free`] : []
  const layers = `${dabs} ${dabs === 1 ? 'layer' : 'layers'}`
  const glitter = wash.glitter ? ', fine glitter while wet' : ''
  return [
    { label: 'where', text: [whereOf(wash, world), ...left].join('; ') },
    { label: 'colour', text: colourWords(wash) },
    {
      label: 'tool',
      text: wash.brush
        ? `filled in with ${BRUSHES[wash.brush].name}${glitter}`
        : `${TOOLS[tool].name}, ${wetness}, ${layers}${glitter}`,
    },
  ]
}

/** A brush fills in so many mm2 a second (common practice). */
const FILLS = 90

function effortOf(wash: Wash, world: World): Effort {
  const area = washArea(wash, world.ground)
  // Each zone is taken by itself, also where it touches the next.
  const places = wash.zones.length || washSides(wash, world.ground).length
  if (wash.brush) {
    const loads = Math.max(1, Math.ceil(area / BRUSHES[wash.brush].line / 2))
    return effortFrom([task('load', HANDS.brushLoad * loads), task('stroke', area / FILLS)], loads)
  }
  const tool = toolIn(world, wash.tool)
  const loads = loadsFor(area, filmOf(tool, wash.wetness, 1), wash.dabs, tool)
  const colours = wash.cake ? 1 : wash.colours.length
  const blend = HANDS.blend * (colours - 1)
  const reload = HANDS.reload * Math.max(loads, colours)
  return effortFrom(
    [
      task('load', reload),
      task('dab', baseSeconds(area, places, wash.dabs, tool)),
      task('blend', blend),
      task('glitter', wash.glitter ? HANDS.glitter : 0),
    ],
    loads,
  )
}

const moves: Moves<Wash> = {
  ...markMoves(() => []),
  carry(wash, transfer) {
    const { from, to, map, zones } = transfer
    const { axis } = wash
    const centred = axis.kind === 'out' && isCentred(wash, from)
    if (wash.zones.length) wash.zones = zones(wash.zones)
    carryHandles(wash, transfer)
    wash.axis = centred ? axisFor(washSides(wash, to)[0]!) : carriedAxis(axis, map)
  },
  reshape(wash, points, ground) {
    wash.axis = axisAfter(wash, { ...wash, points }, ground)
    wash.points = points
  },
  becomeTwin(own, wash, _lie, ground) {
    const map = twinMap(ground, wash.twin)
    if (map) own.axis = mappedAxis(wash.axis, p => tenthPoint(map(p)))
  },
}

const silhouetteOf = (wash: Wash, world: World) => quickRings(printsOf, wash, world)

/** A base over zones or on a drawn outline. */
export const washKind: StepKind<Wash> = {
  kind: 'wash',
  words: 'base',
  schema: washSchema,
  sheets: () => [],
  paintPlaces: wash =>
    wash.cake
      ? [{ path: ['cake', 'cake'], ref: wash.cake.cake }]
      : wash.colours.map((ref, i) => ({ path: ['colours', i], ref })),
  lays: (wash, world) => [
    {
      refs: wash.cake ? toolLoadPaints(wash.cake) : wash.colours,
      mg: (washArea(wash, world.ground) / 100) * filmOn(wash, world),
    },
  ],
  tool: wash => wash.brush ?? wash.tool,
  effort: effortOf,
  dries: (wash, world) =>
    wash.brush ? STROKE_DRIES : dryingSeconds(wash.wetness, true, filmOn(wash, world)),
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (wash, { ground }) => washRings(wash, ground).map(r => boxOf(r)),
  silhouette: silhouetteOf,
  contour: (wash, world) =>
    printsOf({ ...wash, glitter: false }, { ...world, flat: true }).flatMap(printedRings),
  keepsFree: ({ zones }, ground) => (zones.length ? keptFreeByZones(ground, zones.includes('lips')) : []),
  follows: () => [],
  boundTo: () => null,
  anchor: anchorOfMark,
  pointers: () => [],
  mayTwin: wash => wash.points.length > 0,
  held: () => 'base',
  hit: (wash, world, at) => (wash.points.length ? hitMark(wash, silhouetteOf(wash, world), world, at) : null),
  handling: wash => ({
    room: wash.points.length ? [3, MOST_DRAWN] : [0, 0],
    outline: !wash.points.length ? 'open' : wash.straight ? 'straight' : 'closed',
    words: 'handles',
  }),
  moves,
  cautions: {
    keepOff: ({ zones }) => (zones.length ? ['zones'] : ['redraw', 'shift']),
    byHand: () => 'draw its outline round it',
    isBase: true,
  },
  lines: linesOf,
  // A base over zones has neither handles nor a twin, and leaves free what nobody paints by itself.
  fields: wash => (wash.brush ? FILLED : wash.points.length ? DRAWN : OVER_ZONES),
}

const FREE_FIELD = { control: 'free', path: '', label: 'Left free' } as const
const PLACE = { control: 'zones', path: 'zones', label: 'Where' } as const
const HOW = [
  { control: 'paints', path: 'colours', label: 'Colours, light to dark' },
  { control: 'axis', path: 'axis', label: 'They run' },
  { control: 'tool', path: 'tool', label: 'Tool' },
  { control: 'wetness', path: 'wetness', label: 'Wetness' },
  { control: 'dabs', path: 'dabs', label: 'Layers' },
  { control: 'switch', path: 'glitter', label: 'Fine glitter while wet' },
] as const
const OVER_ZONES = [PLACE, FREE_FIELD, ...HOW]
const DRAWN = [
  PLACE,
  { control: 'handles', path: 'points', label: 'Its outline' },
  { control: 'twin', path: 'twin', label: 'Twin' },
  FREE_FIELD,
  ...HOW,
] as const
/** A shape that is filled in with a brush has neither a sponge nor layers. */
const FILLED = [
  { control: 'handles', path: 'points', label: 'Its outline' },
  { control: 'switch', path: 'straight', label: 'Corners at the handles' },
  { control: 'brush', path: 'brush', label: 'Brush' },
  { control: 'paints', path: 'colours', label: 'Colours, light to dark' },
  { control: 'axis', path: 'axis', label: 'They run' },
  { control: 'twin', path: 'twin', label: 'Twin' },
  FREE_FIELD,
] as const
