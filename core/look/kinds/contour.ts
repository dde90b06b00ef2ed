import { pointsOf, regionOf, type Point, type Polygon, type Ring } from '../../geometry'
import { lengthOf, stationsAt } from '../../stroke'
import type { Source } from '../document'
import type { World } from './world'

/**
 * Rings that a source covers on the skin. Only steps before the one that asks count, so that nothing goes
 * around itself.
 */
export const sourceRings = (source: Source, asking: string, world: World): Ring[] =>
  source.use === 'zones'
    ? source.zones.flatMap(id => world.ground.zone(id) ?? [])
    : source.use === 'steps'
      ? source.steps.flatMap(id => world.host?.(id, asking)?.rings(null, world) ?? [])
      : (world.host?.(source.step, asking)?.rings(source.openings, world) ?? [])

/**
 * Everything that the rings of some steps depend on, to be compared by identity: results that are kept in a memo
 * are made anew when any of it is another.
 */
export const madeFrom = (ids: readonly string[], asking: string, world: World): readonly unknown[] => [
  world.ground,
  world.stencil,
  world.under,
  world.flat,
  world.quick,
  world.off,
  ...ids.flatMap(id => world.host?.(id, asking)?.madeFrom(world) ?? []),
]

/** Some rings as one region. */
export const regionFrom = (rings: readonly Ring[]): Polygon[] => regionOf(rings, 'nonzero')

/** A closed outline in even steps. */
export function evenly(ring: Ring): Point[] {
  const line = pointsOf(ring)
  const n = Math.max(12, Math.round(lengthOf(line, true) / 0.9))
  return stationsAt(
    line,
    Array.from({ length: n }, (_, i) => i / n),
    true,
  ).map(s => s.at)
}

/** The ids of the steps that a source names. */
export const stepsOf = (source: Source | null): readonly string[] =>
  source?.use === 'step' ? [source.step] : source?.use === 'steps' ? source.steps : []

/** What to do by hand about what goes around something. */
export const BY_DISTANCE = 'give it another distance, or let it go around fewer openings'
