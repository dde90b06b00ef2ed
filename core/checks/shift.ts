import {
  beneathAll,
  FOLLOWS,
  kindOf,
  movedBehind,
  paintedOpenings,
  placementsOf,
  seatingOf,
  withSteps,
  workOf,
  type SheetStep,
  type Step,
  type World,
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

/** So many of the next steps are tried as places for a step that comes too early. */
const LATER = 12

/**
 * Puts a step behind the first of the next ones after which nothing wet lies beneath it any more, read off from the
 * same times as everything else; null when it touches one of them, or when none is enough.
 */
export function drawnLater({ look, step, index, world }: Case): Fix | null {
  const { touches, steps } = workOf(look, world)
  const own = steps.findIndex(s => s.id === step.id)
  const order = [...look.steps]
  for (let n = own + 1; n <= Math.min(steps.length - 1, own + LATER); n++) {
    const behind = steps[n]!
    if (touches(n, own) || isBoundTo(behind, step)) return null
    const moved = movedBehind(order, step.id, behind.id)
    if (moved.indexOf(step) === index) continue
    if (beneathAll(moved, withSteps(world, moved, world.off)).get(step.id)?.state === 'dry')
      return { words: `Draw it after "${behind.label}"`, sets: [], goes: { behind: behind.id } }
  }
  return null
}

/** Whether a step goes around another or onto its wet paint: it cannot come before it. */
const isBoundTo = (step: Step, to: Step): boolean =>
  kindOf(step).boundTo(step) === to.id || kindOf(step).follows(step).includes(to.id)

const round = (v: number): number => Math.round(v * 10) / 10
