import { tenthPoint, type Point } from '../geometry'
import { anchorOf, type LineStep, type MarkStep, type World } from '../look'
import { onSkin } from '../skin'
import type { Fix } from './finding'

/** Farther than this a step is not shifted by itself, mm: it would be another design. */
const FARTHEST = 24
const BY = 2
/** A step whose middle is nearer to the midline than this is meant to stand on it, mm. */
const ON_MIDLINE = 1

/**
 * Ways in which a step may go from a place: straight away from it; what stands on the midline only up or
 * down, so that it stays on it.
 */
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
      const points = step.points.map(p => tenthPoint([p[0] + d * way[0], p[1] + d * way[1]]))
      if (onSkin(world.ground, anchorOf(points)) && holds({ ...step, points })) {
        return { words: `Move it ${d} mm off the ${named}`, sets: [{ path: ['points'], to: points }] }
      }
    }
  }
  return null
}

/** Shares of its pressure, or of its width, to which a stroke is narrowed before it is given up. */
const NARROWER = [0.7, 0.45, 0.25]

/**
 * A stroke drawn more narrowly, and where that is not enough a little off as well: it stays the stroke that
 * it is.
 */
export function narrowed(
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
