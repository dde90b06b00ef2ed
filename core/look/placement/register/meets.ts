import { centroidOf, movedBy, polygonArea, polygonHolds, type Rigid } from '../../../geometry'
import type { Stencil } from '../../../stencil'
import type { RegisterWay } from '../../document'
import { toEdge } from './near'

/**
 * How many of a guest's painted openings meet what the host prints, held as told: on openings and as motif
 * their middles lie in one of the host's, on bridges and edge to edge beside one, no farther than a bridge is
 * wide.
 */
export function registerMeets(
  host: Stencil,
  guest: Stencil,
  painted: { host: ReadonlySet<number>; guest: ReadonlySet<number> },
  way: RegisterWay,
  held: Rigid,
): number {
  const shapes = [...painted.host].flatMap(n => host.openings[n] ?? [])
  const inside = way === 'openings' || way === 'motif'
  return [...painted.guest].filter(n => {
    const opening = guest.openings[n]
    if (!opening) return false
    const p = movedBy(held, centroidOf([opening]))
    return shapes.some(
      o => polygonHolds(o, ...p) || (!inside && toEdge(p, o) < BESIDE_MM + Math.sqrt(polygonArea(opening))),
    )
  }).length
}
/** A bridge between two patterns in register is no wider than this, mm (common practice). */
const BESIDE_MM = 4
