import type { Step } from '../kinds'
import { isKind, kindOf } from '../kinds'
import { Refused, type Command } from './command'

/** As many steps as a look may have is told by its schema; so many are pasted at once at most. */
const MOST_PASTED = 100

/** The fields in which a step names other steps. */
const NAMES_STEPS: ReadonlySet<string> = new Set(['step', 'steps', 'on', 'over', 'rides'])

/** A copied step with ids of its own, and those of the steps that were copied with it where it names them. */
function renamed(step: Step, ids: ReadonlyMap<string, string>, groups: ReadonlyMap<string, string>): Step {
  // A label, a paint or a stencil may be called as a step is: only what names steps is renamed.
  const within = (value: unknown, key: string): unknown => {
    if (typeof value === 'string') return NAMES_STEPS.has(key) ? (ids.get(value) ?? value) : value
    if (Array.isArray(value)) return value.map(v => within(v, key))
    if (value === null || typeof value !== 'object') return value
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, within(v, k)]))
  }
  const copy = within(step, '') as Step
  return {
    ...copy,
    id: ids.get(step.id)!,
    group: copy.group === null ? null : (groups.get(copy.group) ?? null),
  }
}

/** A copied step without what it hung on that was not copied with it; null when it is nothing by itself. */
function untied(step: Step, there: ReadonlySet<string>): Step | null {
  if (isKind('sheet', step)) {
    const passes = step.passes.map(pass =>
      pass.part?.by === 'step' && !there.has(pass.part.step) ? { ...pass, part: undefined } : pass,
    )
    const register = step.register && there.has(step.register.on) ? step.register : null
    return { ...step, register, passes }
  }
  return kindOf(step)
    .follows(step)
    .every(id => there.has(id))
    ? step
    : null
}

/**
 * Copied steps, of this look or of another, put on top of those that are there. What hung on a step that was
 * not copied hangs on nothing; strokes round such a step stay out.
 * @param newId gives an id for each copy
 * @throws Refused when nothing of them can stand by itself
 */
export const pasteSteps =
  (copied: readonly Step[], newId: () => string): Command =>
  draft => {
    const ids = new Map(copied.slice(0, MOST_PASTED).map(step => [step.id, newId()]))
    const groups = new Map(copied.flatMap(s => (s.group === null ? [] : [[s.group, newId()] as const])))
    const steps = copied
      .slice(0, MOST_PASTED)
      .map(step => untied(step, new Set(ids.keys())))
      .filter(step => step !== null)
      .map(step => renamed(step, ids, groups))
    if (!steps.length)
      throw new Refused('What was copied hangs on steps that were not copied with it. Copy those too.')
    draft.steps.push(...steps)
  }
