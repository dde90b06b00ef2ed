import type { Point } from '../../geometry'
import { kindOf, type SheetStep, type Step, type World } from '../kinds'

/** A step under a point of the skin, and whether it is its twin that lies there. */
export interface Hit {
  readonly step: Step
  readonly twin: boolean
}

/**
 * The step under a point of the skin: brushwork that is selected first, then the selected sheet by its whole
 * outline, then prints and strokes from the top down. A base lies beneath everything: it is held only once it
 * is selected.
 * @param selected the sheet in hand
 * @param chosen everything that is selected
 */
export function stepAt(
  steps: readonly Step[],
  selected: SheetStep | null,
  chosen: readonly Step[],
  world: World,
  at: Point,
): Hit | null {
  const hit = (step: Step, held = false): Hit | null => {
    const found = kindOf(step).hit(step, world, at, held)
    return found && { step, twin: found.twin }
  }
  const first = (list: readonly Step[], how: 'mark' | 'base'): Hit | null => {
    for (const step of list) {
      const found = kindOf(step).held(step) === how ? hit(step) : null
      if (found) return found
    }
    return null
  }
  const top = first(chosen, 'mark')
  if (top) return top
  const own = selected && hit(selected, true)
  // Brushwork that lies on the selected sheet can still be picked up where it is.
  for (const step of [...steps].reverse()) {
    const how = kindOf(step).held(step)
    const found = how === 'mark' || (how === 'sheet' && !own) ? hit(step) : null
    if (found) return found
  }
  return own ?? first(chosen, 'base')
}
