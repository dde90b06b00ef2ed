import type { Look } from '../look'
import { Refused, type Command } from './command'

/** Groups that no step belongs to any more are forgotten, in place. */
function forgetEmpty(draft: Look): void {
  const used = new Set(draft.steps.map(s => s.group))
  const left = (draft.groups ?? []).filter(g => used.has(g.id))
  if (left.length) draft.groups = left
  else delete draft.groups
}

/** Makes one figure of some steps, under a name; they leave the groups in which they were. */
export const groupSteps =
  (ids: ReadonlySet<string>, id: string, name: string): Command =>
  draft => {
    const chosen = draft.steps.filter(s => ids.has(s.id))
    if (chosen.length < 2) throw new Refused('A group needs two steps at least.')
    for (const step of chosen) step.group = id
    draft.groups = [...(draft.groups ?? []), { id, name }]
    forgetEmpty(draft)
  }

/** Gives a group its name; one that had none, as those of arrangements, is a figure of the painter's from now on. */
export const nameGroup =
  (id: string, name: string): Command =>
  draft => {
    const found = draft.groups?.find(g => g.id === id)
    if (found) found.name = name
    else draft.groups = [...(draft.groups ?? []), { id, name }]
  }

/** Takes steps out of the groups in which they are. */
export const ungroup =
  (ids: ReadonlySet<string>): Command =>
  draft => {
    for (const step of draft.steps) if (ids.has(step.id)) step.group = null
    forgetEmpty(draft)
  }
