import { kindOf, type Step } from '../kinds'

/** Takes a step out with the glitter that goes on its wet paint, as far as that comes right after it. */
function lifted(steps: readonly Step[], from: number, but?: string): { moved: Step[]; rest: Step[] } {
  const bound = (step: Step) => kindOf(step).boundTo(step) === steps[from]!.id && step.id !== but
  const behind = steps.slice(from + 1)
  const free = behind.findIndex(step => !bound(step))
  const end = from + 1 + (free < 0 ? behind.length : free)
  return { moved: steps.slice(from, end), rest: [...steps.slice(0, from), ...steps.slice(end)] }
}

/**
 * The steps with one of them moved to a place in the order, its wet glitter along with it; as they were when
 * there is no such step or place.
 */
export function reordered(steps: readonly Step[], id: string, to: number): Step[] {
  const from = steps.findIndex(s => s.id === id)
  if (from < 0 || to < 0 || to >= steps.length) return [...steps]
  const { moved, rest } = lifted(steps, from)
  rest.splice(Math.min(to, rest.length), 0, ...moved)
  return rest
}

/**
 * The steps with one of them moved right behind another, its wet glitter along with it; as they were when one
 * of the two is not there.
 */
export function movedBehind(steps: readonly Step[], id: string, behind: string): Step[] {
  const from = steps.findIndex(s => s.id === id)
  if (from < 0 || id === behind || !steps.some(s => s.id === behind)) return [...steps]
  const { moved, rest } = lifted(steps, from, behind)
  rest.splice(rest.findIndex(s => s.id === behind) + 1, 0, ...moved)
  return rest
}

/**
 * The order of some steps in which no glitter comes before the paint on which it goes while that is wet: it
 * then stands right behind it.
 * @returns the new order, or null when the steps stand well as they are
 */
export function boundOrder<S extends Step>(steps: readonly S[]): S[] | null {
  const host = (step: S) => kindOf<Step>(step).boundTo(step)
  const early = steps.filter((s, i) => steps.findIndex(h => h.id === host(s)) > i)
  if (early.length === 0) return null
  const order = steps.filter(s => !early.includes(s))
  for (const step of [...early].reverse())
    order.splice(order.findIndex(h => h.id === host(step)) + 1, 0, step)
  return order
}
