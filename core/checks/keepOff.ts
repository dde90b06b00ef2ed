import { difference, offset, type Point, type Polygon } from '../geometry'
import {
  anchorOf,
  areaOf,
  coverOf,
  handlesAround,
  openingNumbers,
  openingsOver,
  ownNumber,
  paintedOpenings,
  placementsOf,
} from '../look'
import {
  isMark,
  TOUCH,
  type LineStep,
  type MarkStep,
  type Pass,
  type SheetStep,
  type Step,
  type World,
} from '../look'
import { FACE_ZONES, onSkin, plainZone, type ZoneId } from '../skin'
import type { Stencil } from '../stencil'
import { LEAVE_OUT, type Fix } from './finding'

/** Farther than this a step is not shifted by itself, mm: it would be another design. */
const FARTHEST = 24
const BY = 2
/** A step whose middle is nearer to the midline than this is meant to stand on it, mm. */
const ON_MIDLINE = 1

const tenth = (v: number): number => Math.round(v * 10) / 10 + 0

/** Ways in which a step may go from a place: straight away from it; what stands on the midline only up or down, so that it stays on it. */
function waysFrom([x, y]: Point, from: Point): Point[] {
  if (Math.abs(x) < ON_MIDLINE)
    return y < from[1]
      ? [
          [0, -1],
          [0, 1],
        ]
      : [
          [0, 1],
          [0, -1],
        ]
  const far = Math.hypot(x - from[0], y - from[1])
  return [far < 0.5 ? [0, 1] : [(x - from[0]) / far, (y - from[1]) / far]]
}

/**
 * Shifts brushwork, gems or glitter away from a place until something holds of it, no farther than needed.
 * @param from what it should keep away from, skin mm
 * @param named how that place is called
 * @returns null when it does not hold within 24 mm, or not on the skin
 */
export function shiftedFrom<S extends MarkStep>(
  step: S,
  from: Point,
  named: string,
  world: World,
  holds: (step: S) => boolean,
): Fix | null {
  if (step.points.length === 0) return null
  const at = anchorOf(step.points)
  for (let d = BY; d <= FARTHEST; d += BY) {
    for (const way of waysFrom(at, from)) {
      const points = step.points.map((p): [number, number] => [
        tenth(p[0] + d * way[0]),
        tenth(p[1] + d * way[1]),
      ])
      if (onSkin(world.ground, anchorOf(points)) && holds({ ...step, points })) {
        return { words: `Move it ${d} mm off the ${named}`, sets: [{ path: ['points'], to: points }] }
      }
    }
  }
  return null
}

/** Shares of its pressure, or of its width, to which a stroke is narrowed before it is given up. */
const NARROWER = [0.7, 0.45, 0.25]

/** A stroke drawn more narrowly, and where that is not enough a little off as well: it stays the stroke that it is. */
function narrowed(
  step: LineStep,
  from: Point,
  named: string,
  world: World,
  holds: (step: LineStep) => boolean,
): Fix | null {
  const name = 'press' in step.params ? 'press' : 'wide' in step.params ? 'wide' : null
  if (!name) return null
  for (const share of NARROWER) {
    const params = {
      ...step.params,
      [name]: Math.max(name === 'press' ? 5 : 2, Math.round(step.params[name]! * share)),
    }
    const thin = { ...step, params }
    if (holds(thin))
      return { words: `Narrower, clear of the ${named}`, sets: [{ path: ['params'], to: params }] }
    const moved = shiftedFrom(thin, from, named, world, holds)
    if (moved)
      return {
        words: `Narrower and clear of the ${named}`,
        sets: [{ path: ['params'], to: params }, ...moved.sets],
      }
  }
  return null
}

/** Zones that together make up a whole face, for a base that must leave some of it free. */
const PARTS: readonly ZoneId[] = FACE_ZONES.filter(
  z => !['face', 'eye', 'brow', 'lid', 'under-eye', 'lips'].includes(plainZone(z)),
)

/** Less of a zone than this over a place is the edge that both share, mm2 (common practice). */
export const SHARED_EDGE = 6

/** The zones of a step that stay clear of a region; the whole face is taken as its parts, an eye as what lies around it. */
function zonesClear(
  step: Extract<Step, { zones: ZoneId[] }>,
  region: readonly Polygon[],
  world: World,
): ZoneId[] {
  const all = step.zones.flatMap(z => (z === 'face' ? PARTS : [z]))
  return [...new Set(all)].filter(
    z => coverOf({ ...step, zones: [z] } as Step, world).area(region) < SHARED_EDGE,
  )
}

/** The openings of a step, as the step numbers them, that lie over a region, on its own side or its twin's. */
export function openingsOn(
  step: SheetStep,
  sheet: Stencil,
  region: readonly Polygon[],
  world: World,
  least = TOUCH,
): Set<number> {
  const own = ownNumber(step, world)
  const painted = paintedOpenings(step, world)
  const found = new Set<number>()
  placementsOf(step, world).forEach((placement, i) => {
    for (const n of openingsOver(sheet, placement, painted[i]!, region, world, least))
      found.add(i ? own(n) : n)
  })
  return found
}

/** Leaves openings of a sheet out of every pass; null when a pass would be left with none. */
export function withoutOpenings(
  step: SheetStep,
  sheet: Stencil,
  drop: ReadonlySet<number>,
  words = 'Leave those openings out',
): Fix | null {
  const rest = (pass: Pass) => openingNumbers(pass, sheet).filter(n => !drop.has(n))
  if (drop.size === 0 || step.passes.some(p => rest(p).length === 0)) return null
  return {
    words,
    sets: step.passes.map((p, i) => ({
      path: ['passes', i, 'openings'],
      to: { use: 'chosen', numbers: rest(p) },
    })),
  }
}

/** A drawn base redrawn round a region: what is left of it as one piece, when that is most of it. */
function redrawn(
  step: Step,
  region: readonly Polygon[],
  named: string,
  world: World,
  holds: (step: Step) => boolean,
): Fix | null {
  if (step.kind !== 'wash' || !step.points.length) return null
  const own = coverOf({ ...step, twin: { ...step.twin, rule: 'none' } }, world).region
  const left = difference(own, offset(region, 2))
  const [piece] = [...left].sort((a, b) => areaOf([b]) - areaOf([a]))
  if (!piece || piece.holes.length || areaOf([piece]) < 0.4 * areaOf(own)) return null
  const points = handlesAround([piece.outer])
  const next = { ...step, points, straight: true }
  return points.length >= 3 && holds(next)
    ? {
        words: `Draw it round the ${named}`,
        sets: [
          { path: ['points'], to: points },
          { path: ['straight'], to: true },
        ],
      }
    : null
}

/** What a step should keep off: the region, how it is called, its middle, and how much of it may still be touched, mm2. */
export interface Place {
  readonly region: readonly Polygon[]
  readonly named: string
  readonly middle: Point
  readonly most?: number
}

/**
 * The smallest change after which a step keeps off a place, as what it is: openings left out, other zones, its outline drawn round, shifted, narrower;
 * taken out only when nothing else does.
 */
export function keptOff(step: Step, { region, named, middle, most = TOUCH }: Place, world: World): Fix {
  const holds = (s: Step): boolean => coverOf(s, world).area(region) <= most
  if (step.kind === 'sheet') {
    const sheet = world.stencil(step.stencil)
    return (sheet && withoutOpenings(step, sheet, openingsOn(step, sheet, region, world, 0.02))) ?? LEAVE_OUT
  }
  if ((step.kind === 'wash' || step.kind === 'glitter') && step.zones.length) {
    const zones = zonesClear(step, region, world)
    const next = { ...step, zones } as Step
    return zones.length && coverOf(next, world).area(region) <= Math.max(most, SHARED_EDGE)
      ? { words: `Leave the ${named} free`, sets: [{ path: ['zones'], to: zones }] }
      : LEAVE_OUT
  }
  if (!isMark(step)) return LEAVE_OUT
  return (
    redrawn(step, region, named, world, holds) ??
    shiftedFrom(step, middle, named, world, holds) ??
    (step.kind === 'line' ? narrowed(step, middle, named, world, holds) : null) ??
    LEAVE_OUT
  )
}
