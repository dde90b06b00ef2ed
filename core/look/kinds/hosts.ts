import type { Ring } from '../../geometry'
import { kindOf, type Step } from './table'
import type { Host, World } from './world'

/**
 * A step as a host. Its rings are kept for the world that asked last: of lines around lines around lines each
 * is asked for again and again.
 */
function hostFrom(step: Step): Host {
  const kind = kindOf(step)
  const kept = new Map<string, { from: readonly unknown[]; rings: Ring[] }>()
  return {
    step,
    madeFrom: world => [
      step,
      ...kind.follows(step).flatMap(id => world.host?.(id, step.id)?.madeFrom(world) ?? []),
    ],
    anchor: kind.anchor(step),
    tips: world => (world.off?.has(step.id) ? [] : (kind.tips?.(step, world) ?? [])),
    ways: world => (world.off?.has(step.id) ? [] : (kind.ways?.(step, world) ?? [])),
    rings(openings, world) {
      if (world.off?.has(step.id)) return []
      const key = openings === null ? '' : openings.join()
      const from = [world.ground, world.flat, world.quick, world.stencil, world.under]
      const found = kept.get(key)
      if (found?.from.every((v, i) => v === from[i])) return found.rings
      const rings = kind.contour(step, world, openings)
      kept.set(key, { from, rings })
      return rings
    },
  }
}

/** What a world says of the steps of a look, for those that go around others. */
export function hostsIn(steps: readonly Step[]): Required<Pick<World, 'host'>> {
  const hosts = new Map<Step, Host>()
  return {
    host(id, before) {
      const end = before === undefined ? steps.length : steps.findIndex(s => s.id === before)
      const step = steps.slice(0, Math.max(0, end)).find(s => s.id === id)
      if (!step) return undefined
      const host = hosts.get(step) ?? hostFrom(step)
      hosts.set(step, host)
      return host
    },
  }
}
