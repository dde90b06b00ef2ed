import { Refused, type Command } from '../commands'
import { copied } from '../document'
import { isKind, kindOf, type Step } from '../kinds'
import type { Look } from '../look'
import type { Difference } from './differences'

/** The ids of the steps without which one is nothing, or lies elsewhere. */
const tiesOf = (step: Step): readonly string[] => [
  ...kindOf(step).follows(step),
  ...(isKind('sheet', step) && step.register ? [step.register.on] : []),
]

/** The steps that must be there for a step, and are not, by their names in the look that it comes from. */
function lacking(step: Step, there: readonly Step[], from: Look): string[] {
  const ids = new Set(there.map(s => s.id))
  return tiesOf(step)
    .filter(id => !ids.has(id))
    .map(id => from.steps.find(s => s.id === id)?.label || 'a step that is gone')
}

/** The steps that hang on one, by name. */
const hangingOn = (id: string, steps: readonly Step[]): string[] =>
  steps.filter(s => s.id !== id && tiesOf(s).includes(id)).map(s => s.label)

/** Where a step of another look belongs in this one: behind the nearest of those that lie under it there. */
function placeFor(step: Step, steps: readonly Step[], from: Look): number {
  const under = from.steps.slice(
    0,
    from.steps.findIndex(s => s.id === step.id),
  )
  for (const { id } of under.reverse()) {
    const at = steps.findIndex(s => s.id === id)
    if (at >= 0) return at + 1
  }
  return 0
}

/** Brings what a step names of its look along: its group and its switch. */
function withNames(draft: Look, step: Step, from: Look): void {
  const group = from.groups?.find(g => g.id === step.group)
  if (group && !draft.groups?.some(g => g.id === group.id)) draft.groups = [...(draft.groups ?? []), group]
  const way = from.switches?.find(s => s.id === step.switch)
  if (way && !draft.switches?.some(s => s.id === way.id)) draft.switches = [...(draft.switches ?? []), way]
}

/**
 * Makes one step of a look as another try has it: puts it in, changes it, replaces it or takes it out.
 * @param from the other try
 * @throws Refused with a sentence when what the step goes around, or what goes around it, speaks against it
 */
export const takeOver =
  ({ here, there }: Pick<Difference, 'here' | 'there'>, from: Look): Command =>
  draft => {
    const step = copied(from.steps.find(s => s.id === there))
    const at = draft.steps.findIndex(s => s.id === here)
    if (here !== null && here !== there) {
      const hanging = hangingOn(here, draft.steps)
      if (hanging.length)
        throw new Refused(`"${hanging[0]}" goes around or over it. Take that over, or delete it, first.`)
    }
    if (step) {
      const missing = lacking(step, draft.steps, from)
      if (missing.length)
        throw new Refused(`"${step.label}" goes around or over "${missing[0]}". Take that over first.`)
      withNames(draft, step, from)
      if (at >= 0) draft.steps.splice(at, 1, step)
      else draft.steps.splice(placeFor(step, draft.steps, from), 0, step)
    } else if (at >= 0) draft.steps.splice(at, 1)
  }
