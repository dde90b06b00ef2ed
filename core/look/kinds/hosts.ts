import { kindOf, type Step } from './table'
import type { Host, World } from './world'

const hostFrom = (step: Step): Host => {
  const kind = kindOf(step)
  return {
    step,
    anchor: kind.anchor(step),
    rings: (openings, world) => kind.contour(step, world, openings),
  }
}

/** What a world says of the steps of a look, for those that go around others. */
export function hostsIn(steps: readonly Step[]): Required<Pick<World, 'host'>> {
  return {
    host(id, before) {
      const end = before === undefined ? steps.length : steps.findIndex(s => s.id === before)
      const step = steps.slice(0, Math.max(0, end)).find(s => s.id === id)
      return step && hostFrom(step)
    },
  }
}
