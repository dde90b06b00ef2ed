import type { Box } from '../geometry'
import { stateAfter } from '../order'
import type { GroundState } from '../paint'
import { kindOf, type Step, type World } from './kinds'

export const overlap = (a: readonly Box[], b: readonly Box[]): boolean =>
  a.some(p => b.some(q => p.minX < q.maxX && q.minX < p.maxX && p.minY < q.maxY && q.minY < p.maxY))

/** The wettest film that a step finds beneath it, with the step that laid it and the seconds until it is dry. */
export interface Under {
  readonly state: GroundState
  readonly by: Step | null
  readonly wait: number
}

const WET: readonly GroundState[] = ['dry', 'tacky', 'wet']

/** What every step finds beneath it when the hands go on without waiting: films dry while the steps between are painted. */
export function undersOf(steps: readonly Step[], world: World): Map<string, Under> {
  const boxes = steps.map(s => kindOf(s).boxes(s, world))
  const seconds = steps.map(s => kindOf(s).effort(s, world).seconds)
  const found = new Map<string, Under>()
  steps.forEach((step, i) => {
    let worst: Under = { state: 'dry', by: null, wait: 0 },
      between = 0
    for (let j = i - 1; j >= 0; j--) {
      const below = steps[j]!
      const drying = kindOf(below).dries(below)
      const state = stateAfter(between, drying)
      if (WET.indexOf(state) > WET.indexOf(worst.state) && overlap(boxes[i]!, boxes[j]!))
        worst = { state, by: below, wait: Math.ceil(drying - between) }
      // A gate before a step between lets everything beneath it dry.
      if (below.kind === 'sheet' && below.dry && found.get(below.id)?.by) break
      between += seconds[j]!
    }
    found.set(step.id, worst)
  })
  return found
}

/** The same world, told the steps and what each finds beneath it. */
export function withUnders(world: World, steps: readonly Step[]): World {
  const own = { ...world, steps }
  let unders: Map<string, Under> | undefined
  // Worked out when it is first asked for: a time or a list of sheets does not need it.
  return { ...own, under: id => (unders ??= undersOf(steps, own)).get(id)?.state ?? 'dry' }
}
