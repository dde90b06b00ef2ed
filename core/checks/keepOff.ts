import { difference, offset, type Point, type Polygon } from '../geometry'
import {
  areaOf,
  coverOf,
  handlesAround,
  isKind,
  isMark,
  kindOf,
  TOUCH,
  type FreePlace,
  type KeepOffWay,
  type Step,
  type World,
} from '../look'
import { FACE_ZONES, plainZone, type ZoneId } from '../skin'
import { LEAVE_OUT, type Fix } from './finding'
import { openingsOn, withoutOpenings } from './openingsOff'
import { narrowed, shiftedFrom } from './shiftOff'

/**
 * What a step should keep off: the region, how it is called, its middle, and how much of it may still be
 * touched, mm2.
 */
export interface Place {
  readonly region: readonly Polygon[]
  readonly named: string
  readonly middle: Point
  readonly most?: number
}

/** Zones that together make up a whole face, for a base that must leave some of it free. */
const PARTS: readonly ZoneId[] = FACE_ZONES.filter(
  z => !['face', 'eye', 'brow', 'lid', 'under-eye', 'lips'].includes(plainZone(z)),
)

/** Less of a zone than this over a place is the edge that both share, mm2 (common practice). */
const SHARED_EDGE = 6

/**
 * The zones of a step that stay clear of a region; the whole face is taken as its parts, an eye as what lies
 * around it.
 */
function zonesClear(
  step: Extract<Step, { zones: ZoneId[] }>,
  region: readonly Polygon[],
  world: World,
): ZoneId[] {
  const all = step.zones.flatMap(z => (z === 'face' ? PARTS : [z]))
  return [...new Set(all)].filter(z => coverOf({ ...step, zones: [z] }, world).area(region) < SHARED_EDGE)
}

/** Other zones for a step that is given by zones. */
function otherZones(step: Step, { region, named, most = TOUCH }: Place, world: World): Fix | null {
  if (!('zones' in step)) return null
  const zones = zonesClear(step, region, world)
  const clear = () => coverOf({ ...step, zones }, world).area(region) <= Math.max(most, SHARED_EDGE)
  return zones.length && clear()
    ? { words: `Leave the ${named} free`, sets: [{ path: ['zones'], to: zones }] }
    : null
}

/** Less than this share of a base is another base, when it is drawn round something (common practice). */
const MOST_OF_IT = 0.4

/** A drawn base redrawn round a region: what is left of it as one piece, when that is most of it. */
function redrawn(
  step: Step,
  { region, named }: Place,
  world: World,
  holds: (step: Step) => boolean,
): Fix | null {
  if (!isKind('wash', step)) return null
  const own = coverOf({ ...step, twin: { ...step.twin, rule: 'none' } }, world).region
  const left = difference(own, offset(region, 2))
  const [piece] = [...left].sort((a, b) => areaOf([b]) - areaOf([a]))
  if (!piece || piece.holes.length || areaOf([piece]) < MOST_OF_IT * areaOf(own)) return null
  const points = handlesAround([piece.outer])
  if (points.length < 3 || !holds({ ...step, points, straight: true })) return null
  return {
    words: `Draw it round the ${named}`,
    sets: [
      { path: ['points'], to: points },
      { path: ['straight'], to: true },
    ],
  }
}

/** A way of keeping off a place: the change that does, or null when it does not do. */
type KeepOff = (step: Step, place: Place, world: World, holds: (step: Step) => boolean) => Fix | null

/** The place that a step can leave free by itself, by what it is called. */
function freePlace(named: string): FreePlace | null {
  if (/eyes?$/.test(named)) return 'eyes'
  if (/nostrils?$/.test(named)) return 'nostrils'
  if (/mouth|lips/.test(named)) return 'lips'
  return /lids?$/.test(named) ? 'lids' : null
}

/** A step that leaves one more place free by itself, when that is enough. */
function leavingFree(
  step: Step,
  { named }: Place,
  _world: World,
  holds: (step: Step) => boolean,
): Fix | null {
  const place = freePlace(named)
  if (!place) return null
  const before = 'free' in step ? (step.free ?? []) : []
  const free = [...new Set([...before, place])]
  return holds({ ...step, free } as Step)
    ? { words: `Leave the ${place} free`, sets: [{ path: ['free'], to: free }] }
    : null
}

const WAYS: Readonly<Record<KeepOffWay, KeepOff>> = {
  free: leavingFree,
  openings(step, { region }, world) {
    const sheet = isKind('sheet', step) ? world.stencil(step.stencil) : undefined
    if (!sheet || !isKind('sheet', step)) return null
    return withoutOpenings(step, sheet, openingsOn(step, sheet, region, world, 0.02))
  },
  zones: otherZones,
  redraw: redrawn,
  shift: (step, { middle, named }, world, holds) =>
    isMark(step) ? shiftedFrom(step, middle, named, world, holds) : null,
  narrow: (step, { middle, named }, world, holds) =>
    isKind('line', step) ? narrowed(step, middle, named, world, holds) : null,
}

/**
 * The smallest change after which a step keeps off a place, as what it is: openings left out, other zones,
 * its outline drawn round, shifted, narrower;
 * taken out only when nothing else does.
 */
export function keptOff(step: Step, place: Place, world: World): Fix {
  const { region, most = TOUCH } = place
  const holds = (s: Step): boolean => coverOf(s, world).area(region) <= most
  for (const way of kindOf(step).cautions.keepOff(step)) {
    const fix = WAYS[way](step, place, world, holds)
    if (fix) return fix
  }
  return LEAVE_OUT
}
