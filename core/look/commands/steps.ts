import type { Step } from '../kinds'
import { reordered } from '../composition'
import type { Command } from './command'

/** Puts steps on the others. */
export const addSteps =
  (steps: readonly Step[]): Command =>
  draft =>
    void draft.steps.push(...steps)

/** Puts a step right behind another. */
export const addBehind =
  (id: string, step: Step): Command =>
  draft =>
    void draft.steps.splice(draft.steps.findIndex(s => s.id === id) + 1, 0, step)

/** Puts a step right before another. */
export const addBefore =
  (id: string, step: Step): Command =>
  draft =>
    void draft.steps.splice(
      Math.max(
        0,
        draft.steps.findIndex(s => s.id === id),
      ),
      0,
      step,
    )

/** Takes steps out. */
export const removeSteps =
  (ids: ReadonlySet<string>): Command =>
  draft => {
    draft.steps = draft.steps.filter(s => !ids.has(s.id))
  }

/** Moves a step to a place in the order, its wet glitter along with it. */
export const moveStep =
  (id: string, to: number): Command =>
  draft => {
    draft.steps = reordered(draft.steps, id, to)
  }

/** Brings the steps into an order of ids. */
export const orderSteps =
  (ids: readonly string[]): Command =>
  draft =>
    void draft.steps.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id))
