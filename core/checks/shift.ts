import {
  FOLLOWS,
  kindOf,
  overlap,
  paintedOpenings,
  placementsOf,
  seatingOf,
  type SheetStep,
  type World,
  stepEffort,
} from '../look'
import type { Stencil } from '../stencil'
import type { Case, Fix } from './finding'

/** As many samples of a sheet are enough to look for a better place. */
const COARSE = 250

/**
 * The least shift after which a sheet follows the skin under the fingers: up, down, toward the middle or away
 * from it; up and down only on the midline.
 * @param may whether it may lie there
 * @returns null when it follows nowhere within 12 mm, or when its place is not free
 */
export function seatedNear(
  step: SheetStep,
  sheet: Stencil,
  world: World,
  may: (step: SheetStep) => boolean,
): Fix | null {
  if (step.register || step.twin.own) return null
  const [x, y] = step.at
  const out = Math.sign(x) || 1
  const ways = [
    ['up', 0, -1],
    ['down', 0, 1],
    ...(Math.abs(x) < 3
      ? []
      : ([
          ['outward', out, 0],
          ['toward the middle', -out, 0],
        ] as const)),
  ] as const
  const share = (s: SheetStep, most?: number) => {
    const painted = paintedOpenings(s, world)
    return Math.min(
      ...placementsOf(s, world).map((p, i) => seatingOf(sheet, p, world, painted[i], most).seatedPressed),
    )
  }
  for (const d of [4, 8, 12]) {
    for (const [words, dx, dy] of ways) {
      const moved: SheetStep = { ...step, at: [round(x + d * dx), round(y + d * dy)] }
      if (share(moved, COARSE) < FOLLOWS || !may(moved)) continue
      const seated = share(moved)
      if (seated >= FOLLOWS)
        return {
          words: `Shift it ${d} mm ${words}: ${Math.round(100 * seated)} % touch the skin`,
          sets: [{ path: ['at'], to: moved.at }],
        }
    }
  }
  return null
}

/**
 * Puts a step behind the next ones, when these take long enough for what lies beneath to dry, and do not
 * touch it.
 */
export function drawnLater({ look, step, index, world, under }: Case): Fix | null {
  const own = kindOf(step).boxes(step, world)
  let seconds = 0
  for (const next of look.steps.slice(index + 1)) {
    if (overlap(own, kindOf(next).boxes(next, world))) return null
    seconds += stepEffort(next, world).seconds
    if (seconds >= under.wait)
      return { words: `Draw it after "${next.label}"`, sets: [], goes: { behind: next.id } }
  }
  return null
}

const round = (v: number): number => Math.round(v * 10) / 10
