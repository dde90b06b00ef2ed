import { distance, wrapDegrees, type Point } from '../../geometry'
import { plainZone, zoneAt, type Ground } from '../../skin'
import { kindOf, meanDirection, type Pointer, type Step, type World } from '../kinds'
import type { Look } from '../look'
import { bearingOn, towards } from '../placement'
import { meanResultantLength, rankCorrelation } from './statistics'

/**
 * One element as the eye follows it: where it points, and how far that is off the way to the focal point,
 * degrees.
 */
export interface FlowElement {
  readonly stepId: string
  readonly label: string
  readonly twin: boolean
  readonly at: Point
  readonly heading: number
  readonly aim: number
  readonly off: number
  readonly size: number
  readonly far: number
}

/** How a look flows to its focal point. */
export interface Flow {
  readonly elements: readonly FlowElement[]
  /** Mean resultant length of the deviations, against straight at the focal point: 1 = all aim there. */
  readonly together: number
  /** The mean of their cosines: 1 = all point there, 0 = no more to it than away from it. */
  readonly toward: number
  /** Rank correlation of size against distance to the focal point: 1 = they fall all the way. */
  readonly cascade: number | null
  readonly words: string
}

/**
 * Farther off than this an element breaks the flow, degrees; nearer to the focal point than this it has no
 * way to point, mm (common practice).
 */
export const BREAKS = 35
export const AT_FOCUS = 8

/** The focal point of a look that lies nearest to a place. */
export const focusFor = ({ focus, foci }: Pick<Look, 'focus' | 'foci'>, at: Point): Point =>
  [focus, ...(foci ?? [])].reduce<Point>(
    (best, f) => (distance(f, at) < distance(best, at) ? f : best),
    focus,
  )

/** One thing that the eye follows, of a step or of a whole group. */
interface Figure extends Pointer {
  readonly stepId: string
  readonly label: string
}

/** The pointers of some steps on one side as one: where they are on average, and the way of most of them. */
function oneFigure(name: string, parts: readonly Figure[], aimAt: (at: Point) => number): Figure[] {
  return [false, true].flatMap(twin => {
    const side = parts.filter(p => p.twin === twin)
    const whole = side.reduce((sum, p) => sum + p.size, 0)
    if (!side.length || whole === 0) return []
    const at: Point = [
      side.reduce((sum, p) => sum + p.at[0] * p.size, 0) / whole,
      side.reduce((sum, p) => sum + p.at[1] * p.size, 0) / whole,
    ]
    const aim = aimAt(at)
    const ways = side.flatMap(p => (p.heading === null ? [] : [towards(p.heading, p.both, aim)]))
    const size = 2 * Math.max(...side.map(p => distance(p.at, at) + p.size / 2))
    return [{ stepId: side[0]!.stepId, label: name, twin, at, size, heading: meanDirection(ways) }]
  })
}

/** What the eye follows of a look: the pointers of its steps, those of a group of the painter's as one. */
function figuresOf(look: Pick<Look, 'steps' | 'focus' | 'foci' | 'groups'>, world: World): Figure[] {
  const painted = look.steps.filter(s => !world.off?.has(s.id))
  const of = (step: Step): Figure[] =>
    kindOf(step)
      .pointers(step, world)
      .map(p => ({ ...p, stepId: step.id, label: step.label }))
  const aimAt = (at: Point) => bearingOn(world.ground, at, focusFor(look, at))
  const named = new Map((look.groups ?? []).map(g => [g.id, g.name]))
  const groups = [...named].flatMap(([id, name]) =>
    oneFigure(name, painted.filter(s => s.group === id).flatMap(of), aimAt),
  )
  return [...painted.filter(s => s.group === null || !named.has(s.group)).flatMap(of), ...groups]
}

/** How a look flows to its focal point. */
export function flowOf(look: Pick<Look, 'steps' | 'focus' | 'foci' | 'groups'>, world: World): Flow {
  const elements = figuresOf(look, world).flatMap((p): FlowElement[] => {
    const focus = focusFor(look, p.at)
    const far = distance(p.at, focus)
    if (p.heading === null || far < AT_FOCUS) return []
    const aim = bearingOn(world.ground, p.at, focus)
    const heading = towards(p.heading, p.both, aim)
    return [
      {
        stepId: p.stepId,
        label: p.label,
        twin: p.twin,
        at: p.at,
        heading: wrapDegrees(heading),
        aim,
        off: wrapDegrees(heading - aim),
        size: p.size,
        far,
      },
    ]
  })
  const together = meanResultantLength(elements.map(e => e.off))
  const mean = elements.length
    ? elements.reduce((s, e) => s + Math.cos((e.off * Math.PI) / 180), 0) / elements.length
    : 0
  return {
    elements,
    together,
    toward: mean,
    cascade: rankCorrelation(
      elements.map(e => e.size),
      elements.map(e => e.far),
    ),
    words: wordsOf(elements.length, mean),
  }
}

const wordsOf = (n: number, toward: number): string =>
  n === 0
    ? 'nothing here has a direction yet'
    : toward > 0.9
      ? 'all flows to one point'
      : toward > 0.7
        ? 'flows well'
        : toward > 0.4
          ? 'flows in part'
          : 'pulls apart'

/**
 * The way in which a fresh texture lies: down on the forehead, up toward the top of the nose on the cheeks,
 * else at the focal point.
 */
export function usualHeading(ground: Ground, at: Point, focus: Point): number {
  const zone = zoneAt(ground, at)
  const plain = zone ? plainZone(zone) : ''
  if (plain === 'forehead') return 180
  if (ground.face && ['cheek', 'cheekbone', 'jaw', 'chin', 'muzzle', 'under-eye'].includes(plain))
    return bearingOn(ground, at, ground.face.landmarks.mid.nasion)
  return distance(at, focus) < AT_FOCUS ? 180 : bearingOn(ground, at, focus)
}
