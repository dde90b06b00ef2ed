import { boxOf, polygonArea, ringHolds, signedArea, type Polygon, type Ring } from '../geometry'
import type { Frame } from './frame'

/** The smallest thing that is taken for a sheet of its own, mm2. */
const LEAST_SHEET = 300
/** Round the inside of a sheet's own edge nothing is open, mm: what is seen there is its edge. */
export const RIM_MM = 0.7

/** Pieces of sheet in a reading: each with the openings in it and the loose pieces in those. */
export interface Piece {
  readonly outer: Ring
  readonly openings: { outer: Ring; loose: Ring[] }[]
}

/** Sorts the regions of a sheet's material: the large are sheets, what lies in an opening is loose. */
export function piecesOf(regions: readonly Polygon[], fineness: number, speck: number): Sorted {
  const mm2 = fineness * fineness
  const least = speck * mm2
  const large = (ring: Ring) => Math.abs(signedArea(ring)) >= least
  const sized = regions
    .map(region => ({ region, area: Math.abs(signedArea(region.outer)) }))
    .sort((a, b) => b.area - a.area)
  const largest = sized[0]?.area ?? 0
  const pieces: Piece[] = []
  let dropped = 0
  for (const { region, area } of sized) {
    // The largest first: what holds something is there before what it holds.
    const [x, y] = [region.outer[0]!, region.outer[1]!]
    const home = pieces.flatMap(p => p.openings).find(o => ringHolds(o.outer, x, y))
    if (area < least) dropped++
    else if (home) {
      home.loose.push(region.outer)
      const around = pieces.find(p => p.openings.includes(home))!
      around.openings.push(...region.holes.filter(large).map(outer => ({ outer, loose: [] })))
    } else if (area >= Math.max(LEAST_SHEET * mm2, 0.04 * largest)) {
      const kept = region.holes.filter(large)
      dropped += region.holes.length - kept.length
      pieces.push({ outer: region.outer, openings: kept.map(outer => ({ outer, loose: [] })) })
    } else dropped++
  }
  return { pieces, dropped }
}

/** Ground that shows past a sheet's rounded corners, taken from its openings; gives the corners' radius, mm. */
export function withoutCorners(
  piece: Piece,
  frame: Frame,
  fineness: number,
): { piece: Piece; radius: number } {
  const radii: number[] = []
  const openings = piece.openings.filter(({ outer }) => {
    const box = boxOf(outer)
    // How near it comes to the nearer of two sides, across and down.
    const left = Math.min(box.minX / fineness, frame.width - box.maxX / fineness)
    const top = Math.min(box.minY / fineness, frame.height - box.maxY / fineness)
    if (left > RIM_MM + 0.35 || top > RIM_MM + 0.35) return true
    // The arc leaves the blanked rim where the circle is RIM_MM from the edge.
    const reach = RIM_MM + Math.max(box.maxX - box.minX, box.maxY - box.minY) / fineness
    radii.push(reach + RIM_MM + Math.sqrt(2 * reach * RIM_MM))
    return false
  })
  radii.sort((a, b) => a - b)
  const radius = radii.length > 1 ? Math.min(radii[radii.length >> 1]!, frame.width / 3, frame.height / 3) : 0
  return { piece: { ...piece, openings }, radius }
}

interface Sorted {
  readonly pieces: readonly Piece[]
  readonly dropped: number
}

/** Of a sheet's openings how much of it they are. */
export function openShare(pieces: readonly Piece[]): number {
  const outer = pieces.reduce((s, p) => s + Math.abs(signedArea(p.outer)), 0)
  const open = pieces
    .flatMap(p => p.openings)
    .reduce((s, o) => s + polygonArea({ outer: o.outer, holes: o.loose }), 0)
  return open / Math.max(1, outer)
}
