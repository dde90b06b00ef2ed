import type { Point } from '../geometry'
import { anchorOf, FOLLOWS, kindOf, overlap, paintedOpenings, placementsOf, seatingOf, type MarkStep, type SheetStep, type World } from '../look'
import { onSkin } from '../skin'
import type { Stencil } from '../stencil'
import type { Case, Fix } from './finding'

/** Farther than this a step is not shifted by itself, mm: it would be another design. */
const FARTHEST = 24, BY = 2

/**
 * Shifts brushwork, gems or glitter straight away from a place until something holds of it.
 * @param from what it should keep away from, skin mm
 * @param named how that place is called
 * @returns null when it does not hold within 24 mm, or not on the skin
 */
export function shiftedFrom<S extends MarkStep>(step: S, from: Point, named: string, world: World, holds: (step: S) => boolean): Fix | null {
  if (step.points.length === 0) return null
  const [x, y] = anchorOf(step.points), far = Math.hypot(x - from[0], y - from[1]), way: Point = far < 0.5 ? [0, 1] : [(x - from[0]) / far, (y - from[1]) / far]
  for (let d = BY; d <= FARTHEST; d += BY) {
    const points = step.points.map((p): [number, number] => [round(p[0] + d * way[0]), round(p[1] + d * way[1])])
    if (!onSkin(world.ground, anchorOf(points))) return null
    if (holds({ ...step, points })) return { words: `Move it ${d} mm off the ${named}`, sets: [{ path: ['points'], to: points }] }
  }
  return null
}

/** As many samples of a sheet are enough to look for a better place. */
const COARSE = 250

/**
 * The least shift after which a sheet follows the skin under the fingers: up, down, toward the middle or away from it; up and down only on the midline.
 * @param may whether it may lie there
 * @returns null when it follows nowhere within 12 mm, or when its place is not free
 */
export function seatedNear(step: SheetStep, sheet: Stencil, world: World, may: (step: SheetStep) => boolean): Fix | null {
  if (step.register || step.twin.own) return null
  const [x, y] = step.at, out = Math.sign(x) || 1, ways = [['up', 0, -1], ['down', 0, 1], ...Math.abs(x) < 3 ? [] : [['outward', out, 0], ['toward the middle', -out, 0]] as const] as const
  const share = (s: SheetStep, most?: number) => {
    const painted = paintedOpenings(s, world)
    return Math.min(...placementsOf(s, world).map((p, i) => seatingOf(sheet, p, world, painted[i], most).seatedPressed))
  }
  for (const d of [4, 8, 12]) {
    for (const [words, dx, dy] of ways) {
      const moved: SheetStep = { ...step, at: [round(x + d * dx), round(y + d * dy)] }
      if (share(moved, COARSE) < FOLLOWS || !may(moved)) continue
      const seated = share(moved)
      if (seated >= FOLLOWS) return { words: `Shift it ${d} mm ${words}: ${Math.round(100 * seated)} % seat`, sets: [{ path: ['at'], to: moved.at }] }
    }
  }
  return null
}

/** Puts a step behind the next ones, when these take long enough for what lies beneath to dry, and do not touch it. */
export function drawnLater({ look, step, index, world, under }: Case): Fix | null {
  const own = kindOf(step).boxes(step, world)
  let seconds = 0
  for (const next of look.steps.slice(index + 1)) {
    if (overlap(own, kindOf(next).boxes(next, world))) return null
    seconds += kindOf(next).effort(next, world).seconds
    if (seconds >= under.wait) return { words: `Draw it after "${next.label}"`, sets: [], goes: { behind: next.id } }
  }
  return null
}

const round = (v: number): number => Math.round(v * 10) / 10
