import { distance, tenthPoint, type Point } from '../../geometry'
import { AT_FOCUS, focusFor } from '../composition'
import { isMark, kindOf, type Step, type World } from '../kinds'
import type { Look } from '../look'
import { movesOf, Refused, type Command } from './command'

/** Moves one of several focal points; the first is the look's own. */
export const moveOneFocus =
  (n: number, at: Point): Command =>
  draft => {
    if (n === 0) draft.focus = tenthPoint(at)
    else if (draft.foci?.[n - 1]) draft.foci[n - 1] = tenthPoint(at)
  }

/** Sets one more focal point. */
export const addFocus =
  (at: Point): Command =>
  draft => {
    draft.foci = [...(draft.foci ?? []), tenthPoint(at)]
  }

/** Takes all focal points away but the look's own. */
export const oneFocus: Command = draft => {
  delete draft.foci
}

/** Turns steps so that each points at the focal point. */
export const aimSteps =
  (ids: ReadonlySet<string>, world: World): Command =>
  draft => {
    for (const step of draft.steps)
      if (ids.has(step.id)) {
        const at = kindOf<Step>(step).anchor(step) ?? draft.focus
        movesOf(step).aim(step, world, focusFor(draft, at))
      }
  }

/** A step with handles by its size and how far it is from the focal point, mm. */
interface Sized {
  readonly id: string
  readonly size: number
  readonly far: number
}

function sized(step: Step, { focus }: Pick<Look, 'focus'>, world: World): Sized[] {
  const [own] = isMark(step) ? kindOf<Step>(step).pointers(step, world) : []
  if (!own || own.size <= 0 || distance(own.at, focus) <= AT_FOCUS) return []
  return [{ id: step.id, size: own.size, far: distance(own.at, focus) }]
}

/** No step grows or shrinks by more than this at once. */
const [LEAST, MOST] = [0.45, 2.2]
/** The smallest of a cascade is at most this share of the largest. */
const FALL = 0.6

/**
 * Lets the sizes of steps fall from the farthest to the nearest of the focal point. Refused when fewer than
 * two of them can grow.
 */
export const cascade =
  (steps: readonly Step[], world: World): Command =>
  draft => {
    const list = steps.flatMap(s => sized(s, draft, world)).sort((a, b) => b.far - a.far)
    if (list.length < 2)
      throw new Refused(
        'Sizes can fall only among two strokes, runs of dots or gems, or more: stencils keep their size.',
      )
    const sizes = list.map(e => e.size).sort((a, b) => b - a)
    const most = sizes[0]!
    const least = Math.min(sizes.at(-1)!, most * FALL)
    list.forEach((e, i) => {
      const wanted = (most + ((least - most) * i) / (list.length - 1)) / e.size
      const step = draft.steps.find(s => s.id === e.id)
      if (step) movesOf(step).grow(step, world, Math.min(MOST, Math.max(LEAST, wanted)))
    })
  }
