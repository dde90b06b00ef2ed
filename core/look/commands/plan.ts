import type { Command } from './command'

/**
 * Brings the steps into a planned order. Steps that are not painted now are not in it: they stay behind the step
 * that they came after.
 */
export const plannedOrder =
  (ids: readonly string[]): Command =>
  draft => {
    const planned = new Set(ids)
    const behind = new Map<string | null, typeof draft.steps>()
    let last: string | null = null
    for (const step of draft.steps) {
      if (planned.has(step.id)) last = step.id
      else behind.set(last, [...(behind.get(last) ?? []), step])
    }
    const found = new Map(draft.steps.map(s => [s.id, s]))
    draft.steps = [null, ...ids].flatMap(id => {
      const step = id === null ? undefined : found.get(id)
      return [...(step ? [step] : []), ...(behind.get(id) ?? [])]
    })
  }

/** Lets a step keep its place when an order is worked out, or not. */
export const keepPlace =
  (id: string, on: boolean): Command =>
  draft => {
    const step = draft.steps.find(s => s.id === id)
    if (!step) return
    if (on) step.locked = true
    else delete step.locked
  }

/**
 * Leaves steps out as a variant of the look, which one press brings back; a step that belongs to another variant
 * stays with that.
 */
export const leaveOut =
  (ids: readonly string[], id: string, name: string): Command =>
  draft => {
    const gone = new Set(ids)
    const free = draft.steps.filter(s => gone.has(s.id) && s.switch === undefined)
    for (const step of free) step.switch = id
    if (free.length) draft.switches = [...(draft.switches ?? []), { id, name, on: false }]
  }
