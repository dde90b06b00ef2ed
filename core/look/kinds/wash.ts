import { z } from 'zod'
import {
  boxesMeet,
  boxOf,
  difference,
  offset,
  EMPTY_BOX,
  outlineThrough,
  pointsOf,
  polygonArea,
  regionOf,
  ringHolds,
  ringOf,
  signedArea,
  simplified,
  type Point,
  type Polygon,
  type Ring,
} from '../../geometry'
import { dabSeconds, dryingSeconds, HANDS, loadsFor } from '../../order'
import { filmOf, opacityOf, TOOLS } from '../../paint'
import { zoneWords, type Ground } from '../../skin'
import { laidPaint } from '../load'
import { anchorOf, liesOf, twinMap } from '../handles'
import {
  bounded,
  dabsSchema,
  FAR,
  handlesSchema,
  linkedTwinSchema,
  paintRefSchema,
  pointSchema,
  stepBase,
  toolSchema,
  wetnessSchema,
  zoneSchema,
} from '../parts'
import { FINGER_MM, whereIs } from '../where'
import { flakesOn, WHITE_GLITTER } from './flakes'
import { toolIn, type Axis, type Print, type StepKind } from './kind'

/** What a drawn base can leave free by itself, so that nobody need draw round it. */
export const FREE = ['eyes', 'nostrils'] as const

const axis = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('out'), from: pointSchema, reach: bounded(1, FAR) }),
    z.strictObject({ kind: z.literal('line'), from: pointSchema, to: pointSchema }),
  ],
  { error: 'must run out from a point or along a line' },
)

export const washSchema = z
  .strictObject({
    kind: z.literal('wash'),
    ...stepBase,
    twin: linkedTwinSchema,
    /** The zones that it covers; none when its outline is drawn. */
    zones: z.array(zoneSchema).max(30),
    /** The handles of its drawn outline; none when it covers zones. */
    points: handlesSchema(400),
    /** Whether the outline goes straight from handle to handle, with corners. */
    straight: z.boolean({ error: 'must be true or false' }),
    /** Places that stay unpainted where it would run over them; none when left out. */
    free: z
      .array(z.enum(FREE, { error: `must be ${FREE.join(' or ')}` }))
      .max(2)
      .optional(),
    colours: z
      .array(paintRefSchema)
      .min(1, 'must have at least one colour')
      .max(4, 'must have at most four colours'),
    axis,
    tool: toolSchema,
    wetness: wetnessSchema,
    dabs: dabsSchema,
    glitter: z.boolean({ error: 'must be true or false' }),
  })
  .superRefine((wash, context) => {
    const say = (message: string, path: string) => context.addIssue({ code: 'custom', message, path: [path] })
    if (!wash.zones.length && wash.points.length < 3)
      say('must name zones, or the base must have an outline of three points or more', 'zones')
    if (wash.zones.length && wash.points.length) say('must be empty when the base covers zones', 'points')
    if (wash.zones.length && wash.twin.rule !== 'none')
      say('must have the rule "none" when the base covers zones: name the zones of both sides', 'twin')
  })

export type Wash = z.infer<typeof washSchema>

/** What says where a base goes. */
export type Spread = Pick<Wash, 'zones' | 'points' | 'straight' | 'twin' | 'free'>

/** The outline that handles draw. */
const outlineOf = (points: readonly Point[], straight: boolean): Ring =>
  straight
    ? ringOf(points)
    : Float64Array.from(outlineThrough(points, Math.max(2, Math.min(10, Math.round(240 / points.length)))))

// Rings run either way round; each is made a region of its own before they are joined.
const joined = (rings: readonly Ring[]): Ring[] =>
  regionOf(
    rings.flatMap(r => regionOf([r], 'nonzero').map(p => p.outer)),
    'nonzero',
  ).flatMap(p => [p.outer, ...p.holes])

/** The outlines of each side of a base: of its zones, joined where they touch, or the drawn one and its twin's. */
const outlines = (wash: Spread, ground: Ground): Ring[][] =>
  wash.points.length
    ? liesOf(wash, ground).map(l => joined([outlineOf(l.points, wash.straight)]))
    : [joined(wash.zones.flatMap(id => ground.zone(id) ?? []))]

/** Room that stays free round an open eye, for the lash line, and round a nostril, mm (common practice). */
const ROOM = { eyes: 1.5, nostrils: 0.4 } as const

const meets = (rings: readonly Ring[], kept: Ring): boolean =>
  rings.some(r => boxesMeet(boxOf(r), boxOf(kept)) && pointsOf(kept).some(p => ringHolds(r, ...p)))

/** The mouth of a face where a base would run over it. Lips are painted by themselves, with what is safe there; only a base that names them covers them. */
function lipsUnder(rings: readonly Ring[], wash: Spread, ground: Ground): Ring | null {
  const mouth = wash.zones.includes('lips') ? undefined : ground.keepOuts.find(k => k.words === 'mouth')?.ring
  return mouth && meets(rings, mouth) ? mouth : null
}

/** What of a base's region stays unpainted: lips that it does not name, and what it is told to leave free. */
function leftFree(rings: readonly Ring[], wash: Spread, ground: Ground): Polygon[] {
  const lips = lipsUnder(rings, wash, ground)
  return [...(lips ? regionOf([lips], 'nonzero') : []), ...toldFree(wash, ground)]
}

/** The open eyes and nostrils that a base is told to leave free, with their room. */
function toldFree(wash: Spread, ground: Ground): Polygon[] {
  const eyes = wash.free?.includes('eyes') && !ground.eyesClosed
  const nostrils = wash.free?.includes('nostrils')
  const grown = (ends: string, room: number) =>
    ground.keepOuts
      .filter(k => k.words.endsWith(ends))
      .flatMap(k => offset(regionOf([k.ring], 'nonzero'), room))
  return [...(eyes ? grown('eye', ROOM.eyes) : []), ...(nostrils ? grown('nostril', ROOM.nostrils) : [])]
}

function beside(rings: Ring[], wash: Spread, ground: Ground): Ring[] {
  const free = leftFree(rings, wash, ground)
  return free.length
    ? difference(regionOf(rings, 'nonzero'), free).flatMap(p => [p.outer, ...p.holes])
    : rings
}

/** What each side of a base covers: lips stay free unless it names them, and what else it leaves free. */
export const washSides = (wash: Spread, ground: Ground): Ring[][] =>
  outlines(wash, ground).map(rings => beside(rings, wash, ground))

/** All that a base covers, each place once. */
export const washRings = (wash: Spread, ground: Ground): Ring[] => {
  const sides = outlines(wash, ground)
  return beside(sides.length > 1 ? joined(sides.flat()) : sides[0]!, wash, ground)
}

/** Few handles that draw about the largest piece of some rings, for an outline to go on from. */
export function handlesAround(rings: readonly Ring[]): [number, number][] {
  const largest = rings.reduce<Ring | null>(
    (best, r) => (!best || Math.abs(signedArea(r)) > Math.abs(signedArea(best)) ? r : best),
    null,
  )
  if (!largest) return []
  let few = largest
  for (let off = 0.5; few.length > 2 * FEW && off < 8; off *= 1.3) few = simplified(largest, off)
  return pointsOf(few).map(([x, y]) => [Math.round(x * 10) / 10 + 0, Math.round(y * 10) / 10 + 0])
}
/** A hand can keep an eye on as many handles. */
const FEW = 16

/** A base's axis once its handles have moved: light stays in the middle where it was there, else the axis goes along. */
export function axisAfter(before: Wash, after: Spread, ground: Ground): Wash['axis'] {
  const { axis } = before
  if (JSON.stringify(axisFor(washSides(before, ground)[0]!)) === JSON.stringify(axis))
    return axisFor(washSides(after, ground)[0]!) as Wash['axis']
  const [ax, ay] = anchorOf(before.points)
  const [bx, by] = anchorOf(after.points)
  const go = ([x, y]: readonly [number, number]): [number, number] => [x + bx - ax, y + by - ay]
  return axis.kind === 'out'
    ? { ...axis, from: go(axis.from) }
    : { ...axis, from: go(axis.from), to: go(axis.to) }
}

/** An axis that suits a region: out from its middle, as far as it goes. */
export function axisFor(rings: readonly Ring[]): Axis {
  if (rings.length === 0) return { kind: 'out', from: [0, 0], reach: 50 }
  const box = rings.reduce((b, r) => boxOf(r, b), { ...EMPTY_BOX })
  const from: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  return { kind: 'out', from, reach: Math.max(5, Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2) }
}

/** An axis where a map takes it; how far it reaches stays. */
const mappedAxis = (axis: Axis, map: (p: Point) => Point): Axis =>
  axis.kind === 'out'
    ? { ...axis, from: map(axis.from) }
    : { ...axis, from: map(axis.from), to: map(axis.to) }

const area = (wash: Wash, ground: Ground): number =>
  regionOf(washRings(wash, ground), 'nonzero').reduce((a, p) => a + polygonArea(p), 0)

export const washKind: StepKind<Wash> = {
  kind: 'wash',
  words: 'base',
  schema: washSchema,
  sheets: () => [],
  paints: wash => wash.colours,
  prints(wash, world) {
    const film = filmOf(toolIn(world, wash.tool), wash.wetness, wash.dabs)
    const paints = wash.colours.map(c => laidPaint(c, world))
    const across = twinMap(world.ground, wash.twin)
    // A sponge's soft rim would leave half the lid bare round an eye: the hand keeps off it, and not the sponge.
    const kept = toldFree(wash, world.ground).map(p => p.outer)
    const free = kept.length ? { free: kept } : {}
    return washSides({ ...wash, free: undefined }, world.ground).flatMap((rings, side): Print[] => {
      const axis = paints.length < 2 ? null : side && across ? mappedAxis(wash.axis, across) : wash.axis
      const print: Print = {
        rings,
        ...free,
        spread: null,
        paints,
        axis,
        strips: null,
        film,
        opacity: opacityOf(film),
        softness: TOOLS[wash.tool].rim,
        grain: 0.35,
      }
      return wash.glitter
        ? [print, { ...flakesOn(rings, 'fine', WHITE_GLITTER, 0.55, `${wash.id}${side || ''}`), ...free }]
        : [print]
    })
  },
  outlines: () => [],
  lines(wash, world) {
    const { ground } = world
    const at = wash.points.length
      ? whereIs(ground, anchorOf(wash.points), null, world.finger ?? FINGER_MM)
      : null
    const where = at
      ? `drawn outline, ${at.landmark}${wash.twin.rule === 'none' ? '' : ', and its twin'}`
      : wash.zones
          .map(id => `${zoneWords(id)}${ground.zone(id) ? '' : ` (there is none on a ${ground.words})`}`)
          .join(', ')
    const names = wash.colours.map(c => c.name)
    const free: string[] = [
      ...(lipsUnder(outlines(wash, ground).flat(), wash, ground) ? ['lips'] : []),
      ...(wash.free ?? []),
    ]
    return [
      {
        label: 'where',
        text: [where, ...(free.length ? [`${free.join(' and ')} left free`] : [])].join('; '),
      },
      {
        label: 'colour',
        text:
          names.length === 1
            ? names[0]!
            : `${names.join(' to ')}, ${wash.axis.kind === 'out' ? 'from the middle out' : 'along the line'}`,
      },
      {
        label: 'tool',
        text: `${TOOLS[wash.tool].name}, ${wash.wetness}, ${wash.dabs} ${wash.dabs === 1 ? 'layer' : 'layers'}${wash.glitter ? ', fine glitter while wet' : ''}`,
      },
    ]
  },
  effort(wash, world) {
    const a = area(wash, world.ground)
    const tool = toolIn(world, wash.tool)
    const loads = loadsFor(a, filmOf(tool, wash.wetness, 1), wash.dabs, tool)
    const blend = HANDS.blend * (wash.colours.length - 1)
    return {
      loads,
      seconds:
        HANDS.reload * Math.max(loads, wash.colours.length) +
        dabSeconds(a, wash.dabs, tool) +
        blend +
        (wash.glitter ? HANDS.glitter : 0),
    }
  },
  fields: [
    { control: 'zones', path: 'zones', label: 'Where' },
    { control: 'handles', path: 'points', label: 'Its outline' },
    { control: 'twin', path: 'twin', label: 'Twin' },
    { control: 'free', path: 'free', label: 'Left free' },
    { control: 'paints', path: 'colours', label: 'Colours, light to dark' },
    { control: 'axis', path: 'axis', label: 'They run' },
    { control: 'tool', path: 'tool', label: 'Tool' },
    { control: 'wetness', path: 'wetness', label: 'Wetness' },
    { control: 'dabs', path: 'dabs', label: 'Layers' },
    { control: 'switch', path: 'glitter', label: 'Fine glitter while wet' },
  ],
  anchor: wash => (wash.points.length ? anchorOf(wash.points) : null),
  tool: wash => wash.tool,
  paintPaths: wash => wash.colours.map((_, i) => ['colours', i]),
  boxes: (wash, { ground }) => washRings(wash, ground).map(r => boxOf(r)),
  dries: wash => dryingSeconds(wash.wetness, true),
  lays: (wash, world) => [
    {
      refs: wash.colours,
      mg: (area(wash, world.ground) / 100) * filmOf(toolIn(world, wash.tool), wash.wetness, wash.dabs),
    },
  ],
  pointers: () => [],
}
