import { boxOf, clockwise, hullOf, ringHolds, shareAlong, type Point, type Ring } from '../geometry'
import { isBase, laysNothing, kindOf, whereIs, type Step, type World, stepPrints } from '../look'
import { onSkin, zoneAt, zoneWords } from '../skin'
import { coverageOf } from './coverage'
import { distanceFrom } from './distance'
import { gridOver } from './grid'

/**
 * A round patch of skin between the elements of a look on which nothing is painted: its middle and how far it
 * is to the nearest paint, mm.
 */
export interface EmptySpot {
  readonly at: Point
  readonly radius: number
  readonly where: string
}

/** Pixels to the mm in which patches are looked for, and the least radius that counts, mm. */
const FINE = 2
const LEAST = 3.5

/**
 * The largest circles that lie free of some rings, inside others: the farthest point from all paint by a
 * distance transform, then the next farthest outside the circles found so far (a medial-axis greedy packing).
 * @param blocked rings that a circle must not touch
 * @param within whether a point may be a middle
 */
export function freeCircles(
  blocked: readonly Ring[],
  box: { minX: number; minY: number; maxX: number; maxY: number },
  within: (p: Point) => boolean,
  least: number,
  most: number,
  fine = FINE,
): { at: Point; radius: number }[] {
  const grid = gridOver(box, fine)
  const { width, height } = grid
  const mask = coverageOf(blocked, grid)
  const whole = new Float32Array(width * height)
  for (let j = 0; j < mask.height; j++)
    whole.set(mask.data.subarray(j * mask.width, (j + 1) * mask.width), (j + mask.j0) * width + mask.i0)
  const far = distanceFrom({ i0: 0, j0: 0, width, height, data: whole })
  const at = (i: number, j: number): Point => [grid.x0 + (i + 0.5) / fine, grid.y0 + (j + 0.5) / fine]
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++)
      if (far[j * width + i]! >= least * fine && !within(at(i, j))) far[j * width + i] = 0
  const found: { at: Point; radius: number }[] = []
  while (found.length < most) {
    let best = 0
    for (let p = 1; p < far.length; p++) if (far[p]! > far[best]!) best = p
    const radius = far[best]! / fine
    const i0 = best % width
    const j0 = Math.floor(best / width)
    if (radius < least) break
    const exact = refined(at(i0, j0), radius, blocked, found, within, 1 / fine)
    found.push(exact)
    // What is left of the distances counts only up to the new circle.
    for (let j = 0; j < height; j++)
      for (let i = 0; i < width; i++) {
        const p = j * width + i
        if (far[p]! > 0)
          far[p] = Math.max(
            0,
            Math.min(
              far[p]!,
              (Math.hypot(
                grid.x0 + (i + 0.5) / fine - exact.at[0],
                grid.y0 + (j + 0.5) / fine - exact.at[1],
              ) -
                exact.radius) *
                fine,
            ),
          )
      }
  }
  return found.sort((a, b) => b.radius - a.radius)
}

/**
 * A circle moved and grown by compass search until nothing better lies near, its radius by the distance to
 * the edges themselves.
 */
function refined(
  from: Point,
  radius: number,
  blocked: readonly Ring[],
  others: readonly { at: Point; radius: number }[],
  within: (p: Point) => boolean,
  step: number,
): { at: Point; radius: number } {
  const reach = radius + 4 * step + 1
  const near: number[] = []
  for (const ring of blocked) {
    for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
      const t = shareAlong(...from, ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!)
      if (
        Math.hypot(
          ring[j]! + (ring[i]! - ring[j]!) * t - from[0],
          ring[j + 1]! + (ring[i + 1]! - ring[j + 1]!) * t - from[1],
        ) < reach
      )
        near.push(ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!)
    }
  }
  const free = ([x, y]: Point): number => {
    let least = Math.min(Infinity, ...others.map(o => Math.hypot(x - o.at[0], y - o.at[1]) - o.radius))
    for (let k = 0; k < near.length; k += 4) {
      const t = shareAlong(x, y, near[k]!, near[k + 1]!, near[k + 2]!, near[k + 3]!)
      least = Math.min(
        least,
        Math.hypot(
          near[k]! + (near[k + 2]! - near[k]!) * t - x,
          near[k + 1]! + (near[k + 3]! - near[k + 1]!) * t - y,
        ),
      )
    }
    return least
  }
  let at = from,
    best = free(from)
  if (!Number.isFinite(best)) return { at, radius }
  for (let h = step; h > 0.02;) {
    const better = (
      [
        [h, 0],
        [-h, 0],
        [0, h],
        [0, -h],
      ] as const
    )
      .map(([dx, dy]): Point => [at[0] + dx, at[1] + dy])
      .filter(p => Math.hypot(p[0] - from[0], p[1] - from[1]) <= 4 * step && within(p))
      .map(p => ({ p, r: free(p) }))
      .sort((a, b) => b.r - a.r)[0]
    if (better && better.r > best) {
      at = better.p
      best = better.r
    } else h /= 2
  }
  return { at, radius: best }
}

/**
 * Empty patches between the elements of a look, largest first. A base is no element: it is what they lie on.
 */
export function emptySpots(steps: readonly Step[], world: World, most = 8): EmptySpot[] {
  const { ground } = world
  const elements = steps.filter(s => !isBase(s) && !laysNothing(s))
  const ringsOf = (list: readonly Step[]) =>
    list.flatMap(s => stepPrints(s, { ...world, flat: true }).flatMap(p => clockwise(p.rings)))
  const rings = ringsOf(elements)
  const outer = ringsOf(elements.filter(s => !kindOf(s).cautions.onLips))
  if (outer.length === 0) return []
  const hull = hullOf(outer)
  const box = boxOf(hull)
  const keep = ground.keepOuts.map(k => k.ring)
  const spots = freeCircles(
    [...rings, ...keep],
    { minX: box.minX - 2, minY: box.minY - 2, maxX: box.maxX + 2, maxY: box.maxY + 2 },
    p => ringHolds(hull, ...p) && onSkin(ground, p),
    LEAST,
    most,
  )
  return spots.map(({ at, radius }) => {
    const zone = zoneAt(ground, at)
    return {
      at: [Math.round(at[0] * 10) / 10, Math.round(at[1] * 10) / 10],
      radius: Math.min(radius, 25),
      where:
        zone && zone !== 'face' && zone !== 'arm'
          ? zoneWords(zone)
          : `by the ${whereIs(ground, at).nearest.words}`,
    }
  })
}
