import { mirrored, tenthPoint, type Point } from '../../geometry'
import { layOn, type Ground } from '../../skin'
import type { Twin } from '../document'
import { acrossByFeatures } from './twin'

/**
 * A stroke is laid by the quicker rays: its handles lie where the hand put them in any case, and the way from one
 * to the next is short.
 */
const NEAR_BY = true

/** What things are placed on. */
export interface OnGround {
  /** Whether it is laid more coarsely, as what moves under the hand may be. */
  readonly quick?: boolean
  readonly ground: Ground
}

/** A step that lies on the skin by a few handles. */
export interface Handled {
  readonly points: readonly Point[]
  readonly twin: Twin
}

/** Where the handles of a step, or of its twin, lie; `mirror` when it is seen as in a mirror. */
export interface Lie {
  readonly points: readonly Point[]
  readonly mirror: boolean
  readonly twin: boolean
}

/** The map that brings a point to its twin's place by a rule; null for none. */
export function twinMap(ground: Ground, { rule, about }: Twin): ((p: Point) => Point) | null {
  if (rule === 'none') return null
  if (rule === 'turn') {
    const around = ground.surface.exponential(about ?? [0, 0])
    const out = new Float64Array(2)
    return p => {
      const [u, v] = around.from(...p)
      out[0] = -u
      out[1] = -v
      around.to(out, 0)
      return [out[0]!, out[1]!]
    }
  }
  const face = rule === 'features' ? ground.face?.landmarks : undefined
  return face ? p => acrossByFeatures(face, p) : mirrored
}

/** A step's handles, and its twin's after them when it has one. */
export function liesOf({ points, twin }: Handled, ground: Ground): Lie[] {
  const map = twinMap(ground, twin)
  const own: Lie = { points, mirror: false, twin: false }
  return map ? [own, { points: points.map(map), mirror: twin.rule !== 'turn', twin: true }] : [own]
}

/** The middle of some handles: the point of the skin from which they are measured. */
export const anchorOf = (points: readonly Point[]): Point =>
  points.length === 0
    ? [0, 0]
    : [
        points.reduce((s, p) => s + p[0], 0) / points.length,
        points.reduce((s, p) => s + p[1], 0) / points.length,
      ]

const flipped = ([x, y]: Point): Point => [-x, y]

/**
 * Brings what is drawn in the flat onto the skin: handles are measured from their middle along geodesics, and
 * what comes of them goes back the same way.
 * A twin seen as in a mirror is drawn as its original and turned over, so that it is its mirror image in
 * everything.
 */
export function onSkinBy<T>(
  { points, mirror }: Lie,
  { ground }: OnGround,
  draw: (handles: readonly Point[]) => T[],
  map: (drawn: T, to: (p: Point) => Point) => T,
): T[] {
  const laid = layOn(ground.surface, { at: anchorOf(points), tilt: 0, side: 'A' }, NEAR_BY)
  const flat = points.map(laid.back)
  return draw(mirror ? flat.map(flipped) : flat).map(d => map(d, p => laid.point(mirror ? flipped(p) : p)))
}

/**
 * What is drawn from the handles in the flat, seen as it lies: the tangent plane at their middle, in which
 * ways are measured.
 */
export function inTheFlat<T>(
  { points, mirror }: Lie,
  { ground }: OnGround,
  draw: (handles: readonly Point[]) => T[],
  map: (drawn: T, to: (p: Point) => Point) => T,
): T[] {
  const laid = layOn(ground.surface, { at: anchorOf(points), tilt: 0, side: 'A' }, NEAR_BY)
  const flat = points.map(laid.back)
  return mirror ? draw(flat.map(flipped)).map(d => map(d, flipped)) : draw(flat)
}

/** Moves every handle by a map, to a tenth of a millimetre. */
export const movedHandles = (points: readonly Point[], map: (p: Point) => Point): [number, number][] =>
  points.map(p => tenthPoint(map(p)))

/**
 * The middle of some points as the skin measures it (Karcher mean: the ways to them cancel out); it stays
 * where it is when they are turned about it.
 */
function middleOn(points: readonly Point[], { ground, quick }: OnGround): Point {
  let at = anchorOf(points)
  for (let n = 0; n < 4; n++) {
    const from = ground.surface.exponential(at, quick)
    const [u, v] = anchorOf(points.map(p => from.from(...p)))
    if (Math.hypot(u, v) < 0.02) break
    const out = Float64Array.of(u, v)
    from.to(out, 0)
    at = [out[0]!, out[1]!]
  }
  return at
}

/** Handles turned about their middle by some degrees clockwise on the skin, and grown. */
export function turnedHandles(
  points: readonly Point[],
  world: OnGround,
  degrees: number,
  grow = 1,
): [number, number][] {
  const at = middleOn(points, world)
  const laid = layOn(world.ground.surface, { at, tilt: degrees, side: 'A' }, world.quick)
  const straight = layOn(world.ground.surface, { at, tilt: 0, side: 'A' }, world.quick)
  return movedHandles(points, p => {
    const [x, y] = straight.back(p)
    return laid.point([x * grow, y * grow])
  })
}

/** Handles turned over about the upright through their middle. */
export function flippedHandles(
  points: readonly Point[],
  world: OnGround,
  along: readonly Point[] = [],
): [number, number][] {
  const laid = layOn(world.ground.surface, { at: middleOn(points, world), tilt: 0, side: 'A' }, world.quick)
  return movedHandles([...points, ...along], p => laid.point(flipped(laid.back(p))))
}
