import { copied } from '../document'
import { kindOf, isKind, isMark, type KindName, type MarkStep, type Step, type StepOf } from '../kinds'
import type { Look } from '../look'

/** A change of a look, made in place on a draft of it. */
export type Command = (draft: Look) => void

/** A change that cannot be; its message is a sentence for the painter. */
export class Refused extends Error {}

/**
 * The look that a command makes of another, which stays as it was.
 * Throws Refused with a sentence when the change cannot be.
 */
export function applied(look: Look, command: Command): Look {
  const draft = copied(look)
  command(draft)
  return draft
}

/** A step of a draft by its id; undefined when it is gone. */
const stepIn = (draft: Look, id: string | null): Step | undefined => draft.steps.find(s => s.id === id)

/** Changes one step. */
export const onStep =
  (id: string | null, recipe: (step: Step) => void): Command =>
  draft => {
    const step = stepIn(draft, id)
    if (step) recipe(step)
  }

/** Changes one step of a kind; nothing happens to one of another kind. */
export const onKind = <K extends KindName>(
  kind: K,
  id: string | null,
  recipe: (step: StepOf<K>) => void,
): Command =>
  onStep(id, step => {
    if (isKind(kind, step)) recipe(step)
  })

/** Changes one step that lies by handles of its own. */
export const onMark = (id: string | null, recipe: (step: MarkStep) => void): Command =>
  onStep(id, step => {
    if (isMark(step)) recipe(step)
  })

/** What the kind of a step does to it, whatever kind it is. */
export const movesOf = (step: Step) => kindOf<Step>(step).moves
