import { copied, movedBehind, type Step } from '../look'
import type { Fix } from './finding'

/** A copy of something with the value at a path changed; what lies beside the path is shared. */
function changed<T>(whole: T, [key, ...rest]: readonly (string | number)[], to: unknown): T {
  if (key === undefined) return to as T
  const copy = Array.isArray(whole) ? ([...whole] as T) : { ...whole }
  copy[key as keyof T] = changed(whole[key as keyof T], rest, to)
  return copy
}

/**
 * The steps of a look after a fix; those that it does not touch stay the same objects.
 * @param stepId the step that the finding names
 * @param newId gives an id for each step that is added
 */
export function afterFix(
  steps: readonly Step[],
  stepId: string | null,
  fix: Fix,
  newId: () => string,
): Step[] {
  const at = steps.findIndex(s => s.id === stepId)
  if (at < 0) return [...steps]
  if (fix.goes === 'out') return steps.filter(s => s.id !== stepId)
  const step = fix.sets.reduce<Step>((s, { path, to }) => changed(s, path, copied(to)), steps[at]!)
  const added = copied(fix.adds ?? []).map(s => ({ ...s, id: newId() }))
  const next = [...steps.slice(0, at), step, ...added, ...steps.slice(at + 1)]
  return fix.goes ? movedBehind(next, step.id, fix.goes.behind) : next
}
