import { boxOf, difference, intersection, offset, ringCentroid, union, type Point, type Polygon } from '../geometry'
import { ellipsePoints } from '../geometry/flatten'
import type { Island } from './analyse/islands'
import type { Neck } from './analyse/necks'
import type { Slot } from './analyse/widths'
import type { SheetGeometry } from './types'

/** Sheet materials with the bridge width that holds in them, mm (common practice). */
export const MATERIALS = { film: { words: 'thin film, 0.1 mm', bridge: 2 }, mylar: { words: 'flexible sheet, 0.2 mm', bridge: 1.5 }, card: { words: 'stiff sheet, 0.4 mm', bridge: 1.2 } } as const
export type MaterialId = keyof typeof MATERIALS

/** An island larger than this needs two bridges at least, mm2 (common practice). */
export const TWO_BRIDGES_FROM = 100

/** A bridge that joins an island to the sheet. */
export interface Join { readonly island: number, readonly from: Point, readonly to: Point, readonly width: number }

const wide = (from: Point, to: Point, width: number, over = 0.4): Polygon => {
  const dx = to[0] - from[0], dy = to[1] - from[1], l = Math.hypot(dx, dy) || 1, ux = dx / l, uy = dy / l, h = width / 2
  const corner = (p: Point, along: number, side: number) => [p[0] + ux * along - uy * side, p[1] + uy * along + ux * side]
  return { outer: Float64Array.from([corner(from, -over, -h), corner(to, over, -h), corner(to, over, h), corner(from, -over, h)].flat()), holes: [] }
}

/**
 * The shortest joins for every island: one for a small island, two on opposite sides or more for larger ones.
 * @param width of the bridges, mm
 */
export function proposedJoins(sheet: SheetGeometry, islands: readonly Island[], width: number): Join[] {
  return islands.flatMap((island, n) => {
    const { outer } = sheet.openings[island.opening]!, centre = ringCentroid(island.ring), count = island.area > TWO_BRIDGES_FROM ? Math.min(4, 2 + Math.floor(island.area / 2000)) : 1
    const ways = samples(island.ring).map((from) => {
      const to = nearestOn(outer, from)
      return { from, to, length: Math.hypot(from[0] - to[0], from[1] - to[1]), angle: Math.atan2(from[1] - centre[1], from[0] - centre[0]) }
    }).sort((a, b) => a.length - b.length)
    const chosen: typeof ways = []
    const apart = (a: number, b: number) => Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)))
    for (let k = 0; k < count; k++) {
      const least = count === 2 ? 2.2 : 2 * Math.PI / count * 0.7
      const next = ways.find(w => chosen.every(c => apart(c.angle, w.angle) > least)) ?? ways.find(w => chosen.every(c => apart(c.angle, w.angle) > least / 2))
      if (next) chosen.push(next)
    }
    return chosen.map(({ from, to }) => ({ island: n, from, to, width }))
  })
}

function samples(ring: Float64Array): Point[] {
  const out: Point[] = []
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const ax = ring[j]!, ay = ring[j + 1]!, bx = ring[i]!, by = ring[i + 1]!, n = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / 0.5))
    for (let k = 0; k < n; k++) out.push([ax + (bx - ax) * k / n, ay + (by - ay) * k / n])
  }
  return out
}

function nearestOn(ring: Float64Array, [x, y]: Point): Point {
  let best: Point = [ring[0]!, ring[1]!], least = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const ax = ring[j]!, ay = ring[j + 1]!, dx = ring[i]! - ax, dy = ring[i + 1]! - ay, l2 = dx * dx + dy * dy
    const t = l2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / l2)), qx = ax + t * dx, qy = ay + t * dy, d = (x - qx) ** 2 + (y - qy) ** 2
    if (d < least) {
      least = d
      best = [qx, qy]
    }
  }
  return best
}

/** The sheet with bridges left standing across its openings. */
export function withJoins(sheet: SheetGeometry, joins: readonly Join[]): SheetGeometry {
  return joins.length === 0 ? sheet : { ...sheet, openings: difference(sheet.openings, union(joins.map(j => wide(j.from, j.to, j.width)))) }
}

const disc = ([x, y]: Point, r: number): Polygon => ({ outer: Float64Array.from(ellipsePoints(x, y, r, r)), holes: [] })
const between = ({ from, to }: { from: Point, to: Point }): Point => [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]

/** The sheet with narrow bridges made at least `least` mm wide, by drawing the openings back there and nowhere else. */
export function withWiderBridges(sheet: SheetGeometry, bridges: readonly Neck[], least: number): SheetGeometry {
  const solid = bridges.filter(b => b.width < least).flatMap((b) => {
    const here = disc(between(b), b.width / 2 + least)
    return intersection(offset(difference([here], sheet.openings), (least - b.width) / 2 + 0.01), [here])
  })
  return solid.length === 0 ? sheet : { ...sheet, openings: difference(sheet.openings, union(solid)) }
}

/** The sheet with openings opened up to `least` mm where they are narrower: at their neck, or all along when they are narrow everywhere. */
export function withWiderSlots(sheet: SheetGeometry, slots: readonly Slot[], least: number): SheetGeometry {
  const grown = slots.filter(s => s.width < least).flatMap((slot) => {
    const opening = sheet.openings[slot.opening]!, box = boxOf(opening.outer), size = Math.hypot(box.maxX - box.minX, box.maxY - box.minY)
    const wider = offset([opening], (least - slot.width) / 2 + 0.01)
    return size < 4 * least ? wider : intersection(wider, [disc(between(slot), Math.max(2 * least, slot.width))])
  })
  return grown.length === 0 ? sheet : { ...sheet, openings: union([...sheet.openings, ...grown]) }
}
