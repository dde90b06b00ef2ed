import { boxOf, distance, ringHolds, shareAlong, tenthPoint, wrapDegrees } from '../../geometry'
import type { Point, Ring } from '../../geometry'
import { onSkin } from '../../skin'
import type { BaseStep, Twin } from '../document'
import {
  anchorOf,
  bearingOn,
  carryTwin,
  FINGER_MM,
  growthUnder,
  liesOf,
  towards,
  turnedHandles,
  whereIs,
} from '../placement'
import type { Misfitting, Moves, Pointer } from './kind'
import type { Print } from './print'
import type { Transfer } from './transfer'
import type { World } from './world'

/** What kinds that lie on the skin by handles of their own have in common. */
export interface Marked extends BaseStep {
  points: [number, number][]
  readonly twin: Twin
}

/** The point that stands for a step with handles; null while it has none. */
export const anchorOfMark = ({ points }: Pick<Marked, 'points'>): Point | null =>
  points.length ? anchorOf(points) : null

/** Where a step with handles lies, in a painter's words; null while it has none. */
export function whereOfMark({ points, twin }: Marked, { ground, finger = FINGER_MM }: World): string | null {
  if (!points.length) return null
  const { landmark, midline } = whereIs(ground, anchorOf(points), null, finger)
  return `${landmark}; ${midline}${twinWords(twin)}`
}

/** The twin of a step, as the end of a line of the step sheet. */
export const twinWords = ({ rule }: Twin): string => (rule === 'none' ? '' : ', and its twin')

/** The rings of what a step prints, as quickly as they can be had. */
export const quickRings = <S>(prints: (step: S, world: World) => Print[], step: S, world: World): Ring[] =>
  prints(step, { ...world, flat: true, quick: true }).flatMap(p => p.rings)

/** How near a stroke a tap counts, mm of the skin. */
const NEAR = 1.6

/** Whether a point lies in a ring, or so near its edge that a tap means it. */
export function nearRing(ring: Ring, [x, y]: Point): boolean {
  const b = boxOf(ring)
  if (x < b.minX - NEAR || x > b.maxX + NEAR || y < b.minY - NEAR || y > b.maxY + NEAR) return false
  if (ringHolds(ring, x, y)) return true
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const t = shareAlong(x, y, ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!)
    const nearest: Point = [
      ring[j]! + (ring[i]! - ring[j]!) * t,
      ring[j + 1]! + (ring[i + 1]! - ring[j + 1]!) * t,
    ]
    if (distance([x, y], nearest) < NEAR) return true
  }
  return false
}

/** Whether the twin's side of a step is the one nearer to a point. */
function nearerToTwin({ points, twin }: Marked, { ground }: World, at: Point): boolean {
  if (twin.rule === 'none' || points.length === 0) return false
  const [own, other] = liesOf({ points, twin }, ground).map(lie =>
    Math.min(...[...lie.points, anchorOf(lie.points)].map(p => Math.hypot(p[0] - at[0], p[1] - at[1]))),
  )
  return other !== undefined && other < own!
}

/** Whether what a step with handles covers lies under a point, and on which side. */
export const hitMark = <S extends Marked>(
  step: S,
  rings: readonly Ring[],
  world: World,
  at: Point,
): { twin: boolean } | null =>
  rings.some(r => nearRing(r, at)) ? { twin: nearerToTwin(step, world, at) } : null

/**
 * Brings handles and twin to another canvas, in place: handles go where the skin under them went.
 * @returns by how much they drew apart: what the lengths of the step grow by
 */
export function carryHandles(step: Marked, { map, to }: Transfer): number {
  const by = growthUnder(step.points, map)
  step.points = step.points.map(p => tenthPoint(map(p)))
  carryTwin(step.twin, map, to)
  return by
}

/** Why a step with handles does not fit: most of them lie beside the skin. */
function besideSkin({ points, label }: Marked, { ground }: Pick<World, 'ground'>): Misfitting | null {
  const off = points.filter(p => !onSkin(ground, p)).length
  return off > points.length / 2 ? { sentence: `${label}: most of it lies beside the skin.` } : null
}

/** By how much a step must turn to point at a place, degrees; null when it has no way or is there already. */
export function offAim([own]: readonly Pointer[], { ground }: World, focus: Point): number | null {
  if (!own || own.heading === null || distance(own.at, focus) < 1) return null
  const aim = bearingOn(ground, own.at, focus)
  return wrapDegrees(aim - towards(own.heading, own.both, aim))
}

/** How a kind with handles moves, unless it says otherwise. */
export function markMoves<S extends Marked>(pointers: (step: S, world: World) => Pointer[]): Moves<S> {
  return {
    carry: (step, transfer) => void carryHandles(step, transfer),
    misfit: besideSkin,
    aim(step, world, focus) {
      const by = offAim(pointers(step, world), world, focus)
      if (by !== null) step.points = turnedHandles(step.points, world, by)
    },
    grow(step, world, by) {
      step.points = turnedHandles(step.points, world, 0, by)
    },
    reshape(step, points) {
      step.points = points
    },
    mirror: () => {},
    becomeTwin: () => {},
  }
}
