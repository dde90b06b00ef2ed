import { polygonArea, ringHolds, signedArea, type Polygon, type Ring } from '../../geometry'
import type { SheetGeometry } from '../types'

/** A solid piece that hangs on nothing: it falls out when the sheet is cut. */
export interface Island { readonly opening: number, readonly ring: Ring, readonly area: number }

/** The loose pieces of a sheet, largest first: what the holes of openings enclose, less the openings inside them. */
export function islandsOf({ openings }: Pick<SheetGeometry, 'openings'>): Island[] {
  return openings.flatMap((opening, i) => opening.holes.map((ring) => {
    const inside = openings.filter((other, k) => k !== i && ringHolds(ring, other.outer[0]!, other.outer[1]!))
    // Openings inside openings inside the hole would be counted with their own islands; only the outermost cut into this piece.
    const direct = inside.filter(o => !inside.some(p => p !== o && p.holes.some(h => ringHolds(h, o.outer[0]!, o.outer[1]!))))
    return { opening: i, ring, area: Math.abs(signedArea(ring)) - direct.reduce((a, o) => a + Math.abs(signedArea(o.outer)), 0) }
  })).sort((a, b) => b.area - a.area)
}

/** Area of all openings, mm2. */
export const openArea = (openings: readonly Polygon[]): number => openings.reduce((a, o) => a + polygonArea(o), 0)
