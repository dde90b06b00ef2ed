import type { Step } from './kinds'

/** Takes a step out with the glitter that goes on its wet paint, as far as that comes right after it. */
function lifted(steps: readonly Step[], from: number, but?: string): { moved: Step[]; rest: Step[] } {
  let end = from + 1
  for (
    let next = steps[end];
    next?.kind === 'glitter' && next.on === steps[from]!.id && next.id !== but;
    next = steps[end]
  )
    end++
  return { moved: steps.slice(from, end), rest: [...steps.slice(0, from), ...steps.slice(end)] }
}

/** The steps with one of them moved to a place in the order, its wet glitter along with it; as they were when there is no such step or place. */
export function reordered(steps: readonly Step[], id: string, to: number): Step[] {
  const from = steps.findIndex(s => s.id === id)
  if (from < 0 || to < 0 || to >= steps.length) return [...steps]
  const { moved, rest } = lifted(steps, from)
  rest.splice(Math.min(to, rest.length), 0, ...moved)
  return rest
}

/** The steps with one of them moved right behind another, its wet glitter along with it; as they were when one of the two is not there. */
export function movedBehind(steps: readonly Step[], id: string, behind: string): Step[] {
  const from = steps.findIndex(s => s.id === id)
  if (from < 0 || id === behind || !steps.some(s => s.id === behind)) return [...steps]
  const { moved, rest } = lifted(steps, from, behind)
  rest.splice(rest.findIndex(s => s.id === behind) + 1, 0, ...moved)
  return rest
}
