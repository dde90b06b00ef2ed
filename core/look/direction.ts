import { bearing, distance, wrapDegrees, type Point } from '../geometry'
import { plainZone, zoneAt, type Ground } from '../skin'
import { aimedTilt } from './aim'
import { isMark, kindOf, placementOf, type Pointer, type Step, type World } from './kinds'
import { turnedHandles } from './handles'
import { atSoThat, liesAt, printedMiddle } from './pivot'
import type { Look } from './look'

/** The way from a point of the skin to another, degrees clockwise from up in the skin's tangent plane there. */
export function bearingOn(ground: Ground, at: Point, to: Point): number {
  return bearing([0, 0], ground.surface.exponential(at, true).from(...to))
}

/** Mean resultant length of some angles (degrees): 1 when all agree, 0 when they cancel (Mardia and Jupp, Directional Statistics, 2.3). */
export function meanResultantLength(angles: readonly number[]): number {
  if (angles.length === 0) return 0
  const c = angles.reduce((s, a) => s + Math.cos((a * Math.PI) / 180), 0)
  const s = angles.reduce((t, a) => t + Math.sin((a * Math.PI) / 180), 0)
  return Math.hypot(c, s) / angles.length
}

/** Ranks of some numbers from 1 up; equal ones share the mean of theirs. */
function ranksOf(list: readonly number[]): number[] {
  return list.map(v => (list.filter(w => w < v).length + 1 + list.filter(w => w <= v).length) / 2)
}

/** Spearman's rank correlation of two lists, -1 to 1; null for fewer than three pairs or where one list does not vary. */
export function rankCorrelation(a: readonly number[], b: readonly number[]): number | null {
  if (a.length < 3) return null
  const p = ranksOf(a)
  const q = ranksOf(b)
  const n = p.length
  const m = (n + 1) / 2
  const cov = p.reduce((s, v, i) => s + (v - m) * (q[i]! - m), 0)
  const vp = p.reduce((s, v) => s + (v - m) ** 2, 0)
  const vq = q.reduce((s, v) => s + (v - m) ** 2, 0)
  return vp > 0 && vq > 0 ? cov / Math.sqrt(vp * vq) : null
}

/** One element as the eye follows it: where it points, and how far that is off the way to the focal point, degrees. */
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

/** Farther off than this an element breaks the flow, degrees; nearer to the focal point than this it has no way to point, mm (common practice). */
export const BREAKS = 35
export const AT_FOCUS = 8

/** The way that counts of something that leads both ways: the one nearer to the aim. */
const toward = (p: Pointer, aim: number): number =>
  p.both && Math.abs(wrapDegrees(p.heading! - aim)) > 90 ? p.heading! + 180 : p.heading!

export function flowOf(look: Pick<Look, 'steps' | 'focus'>, world: World): Flow {
  const elements = look.steps.flatMap(step =>
    kindOf(step)
      .pointers(step, world)
      .flatMap((p): FlowElement[] => {
        const far = distance(p.at, look.focus)
        if (p.heading === null || far < AT_FOCUS) return []
        const aim = bearingOn(world.ground, p.at, look.focus)
        const heading = toward(p, aim)
        return [
          {
            stepId: step.id,
            label: step.label,
            twin: p.twin,
            at: p.at,
            heading: wrapDegrees(heading),
            aim,
            off: wrapDegrees(heading - aim),
            size: p.size,
            far,
          },
        ]
      }),
  )
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

/** The way in which a fresh texture lies: down on the forehead, up toward the top of the nose on the cheeks, else at the focal point. */
export function usualHeading(ground: Ground, at: Point, focus: Point): number {
  const zone = zoneAt(ground, at)
  const plain = zone ? plainZone(zone) : ''
  if (plain === 'forehead') return 180
  if (ground.face && ['cheek', 'cheekbone', 'jaw', 'chin', 'muzzle', 'under-eye'].includes(plain))
    return bearingOn(ground, at, ground.face.landmarks.mid.nasion)
  return distance(at, focus) < AT_FOCUS ? 180 : bearingOn(ground, at, focus)
}

/** Turns a step so that it points at the focal point; one without a direction stays as it is. The step is changed in place. */
export function aimStep(step: Step, world: World, focus: Point): void {
  if (step.kind === 'sheet') {
    // What is printed aims, and stays where it is; of a part-used sheet that is not the sheet's middle.
    const middle = printedMiddle(step, world)
    const there = liesAt(middle, placementOf(step), world.ground)
    if (distance(there, focus) < 1) return
    step.tilt = tenth(
      aimedTilt(step.side, world.stencil(step.stencil)?.heading ?? 0, bearingOn(world.ground, there, focus)),
    )
    if (middle[0] || middle[1])
      Object.assign(step, { at: atSoThat(middle, there, step, world.ground), grip: [0, 0] })
    return
  }
  if (!isMark(step)) return
  const [own] = kindOf(step).pointers(step, world)
  if (!own || own.heading === null || distance(own.at, focus) < 1) return
  const aim = bearingOn(world.ground, own.at, focus)
  const by = wrapDegrees(aim - toward(own, aim))
  if (step.kind === 'gem') step.heading = tenth(wrapDegrees(step.heading + by))
  else step.points = turnedHandles(step.points, world, by)
}

const tenth = (v: number) => Math.round(v * 10) / 10 + 0

/** Grows a step with handles about its middle, with every number of it that is a length. The step is changed in place. */
export function growStep(
  step: Step,
  world: World,
  by: number,
  lengths: (step: Step) => readonly { name: string; least: number; most: number }[],
): void {
  if (!isMark(step)) return
  if (step.kind === 'gem') step.size = Math.min(25, Math.max(1, tenth(step.size * by)))
  else step.points = turnedHandles(step.points, world, 0, by)
  if (step.kind === 'line' || step.kind === 'dots')
    step.params = {
      ...step.params,
      ...Object.fromEntries(
        lengths(step).map(({ name, least, most }) => [
          name,
          Math.min(most, Math.max(least, tenth(step.params[name]! * by))),
        ]),
      ),
    }
}
