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
    : (world.host?.(source.step, asking)?.rings(source.openings, world) ?? [])

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

/** The id of the step that a source names. */
export const stepOf = (source: Source | null): string | null => (source?.use === 'step' ? source.step : null)

/** What to do by hand about what goes around something. */
export const BY_DISTANCE = 'give it another distance, or let it go around fewer openings'
