import Flatbush from 'flatbush'
import {
  boxOf,
  offset,
  polygonArea,
  ringHolds,
  shareAlong,
  signedArea,
  type Point,
  type Polygon,
  type Ring,
} from '../../geometry'
import { measuringBudget, type Budget } from '../bounds'
import type { SheetGeometry } from '../types'

/** A solid piece that hangs on nothing: it falls out when the sheet is cut. */
export interface Island {
  readonly opening: number
  readonly ring: Ring
  readonly area: number
  /**
   * Points in which it only touches the rest, where two openings meet corner to corner: nothing holds there.
   */
  readonly touches?: readonly Point[]
}

/** Solid narrower than this between two openings holds nothing, mm. */
const NOTHING = 0.02

/**
 * The loose pieces of a sheet, largest first: what the holes of openings enclose, and what openings enclose
 * that touch in corners only.
 */
export function islandsOf(
  { openings }: Pick<SheetGeometry, 'openings'>,
  budget: Budget = measuringBudget(),
): Island[] {
  return [...enclosedByOne(openings, budget), ...enclosedByTouching(openings, budget)].sort(
    (a, b) => b.area - a.area,
  )
}

/** What the holes of openings enclose, less the openings inside them. */
function enclosedByOne(openings: readonly Polygon[], budget: Budget): Island[] {
  return openings.flatMap((opening, i) =>
    opening.holes.map(ring => {
      budget.spend((openings.length * ring.length) / 32)
      const inside = openings.filter(
        (other, k) => k !== i && ringHolds(ring, other.outer[0]!, other.outer[1]!),
      )
      // Openings inside openings inside the hole would be counted with their own islands; only the outermost
      // cut into this piece.
      const direct = inside.filter(
        o => !inside.some(p => p !== o && p.holes.some(h => ringHolds(h, o.outer[0]!, o.outer[1]!))),
      )
      return {
        opening: i,
        ring,
        area: Math.abs(signedArea(ring)) - direct.reduce((a, o) => a + Math.abs(signedArea(o.outer)), 0),
      }
    }),
  )
}

/** Points in which two openings touch, with the numbers of both. */
function touchesOf(
  openings: readonly Polygon[],
  budget: Budget,
): { at: Point; pair: readonly [number, number] }[] {
  if (openings.length < 2) return []
  const boxes = openings.map(o => boxOf(o.outer))
  const index = new Flatbush(openings.length)
  const found: { at: Point; pair: readonly [number, number] }[] = []
  for (const b of boxes) index.add(b.minX, b.minY, b.maxX, b.maxY)
  index.finish()
  openings.forEach((o, i) => {
    const b = boxes[i]!
    for (const k of index.search(b.minX - NOTHING, b.minY - NOTHING, b.maxX + NOTHING, b.maxY + NOTHING)) {
      if (k === i) continue
      // A corner of one on the edge of the other.
      for (let p = 0; p < o.outer.length; p += 2) {
        const x = o.outer[p]!
        const y = o.outer[p + 1]!
        if (
          x < boxes[k]!.minX - NOTHING ||
          x > boxes[k]!.maxX + NOTHING ||
          y < boxes[k]!.minY - NOTHING ||
          y > boxes[k]!.maxY + NOTHING
        )
          continue
        budget.spend(openings[k]!.outer.length / 16)
        if (
          nearEdge(openings[k]!.outer, x, y) &&
          !found.some(f => Math.hypot(f.at[0] - x, f.at[1] - y) < 2 * NOTHING)
        )
          found.push({ at: [x, y], pair: [i, k] })
      }
    }
  })
  return found
}

function nearEdge(ring: Ring, x: number, y: number): boolean {
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const t = shareAlong(x, y, ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!)
    if (
      Math.hypot(
        ring[j]! + (ring[i]! - ring[j]!) * t - x,
        ring[j + 1]! + (ring[i + 1]! - ring[j + 1]!) * t - y,
      ) < NOTHING
    )
      return true
  }
  return false
}

/**
 * What openings that touch in corners enclose together: grown by next to nothing they are one opening, whose
 * holes fall out.
 */
function enclosedByTouching(openings: readonly Polygon[], budget: Budget): Island[] {
  const touches = touchesOf(openings, budget)
  if (touches.length === 0) return []
  const touching = [...new Set(touches.flatMap(t => t.pair))]
  // Where a single one encloses something already, that is told of it.
  const own = new Set(touching.flatMap(n => openings[n]!.holes.map(h => Math.round(Math.abs(signedArea(h))))))
  return offset(
    touching.map(n => openings[n]!),
    NOTHING,
  )
    .flatMap(whole => whole.holes)
    .flatMap((hole): Island[] => {
      const area = Math.abs(signedArea(hole))
      const at = touches.filter(t => nearRing(hole, t.at, 4 * NOTHING))
      if (at.length === 0 || (own.has(Math.round(area)) && at.length < 2)) return []
      const inside = openings
        .filter(o => ringHolds(hole, o.outer[0]!, o.outer[1]!))
        .reduce((sum, o) => sum + polygonArea(o), 0)
      return [{ opening: at[0]!.pair[0], ring: hole, area: area - inside, touches: at.map(t => t.at) }]
    })
}

const nearRing = (ring: Ring, [x, y]: Point, reach: number): boolean => {
  for (let i = 0; i < ring.length; i += 2) if (Math.hypot(ring[i]! - x, ring[i + 1]! - y) < reach) return true
  return false
}

/** Area of all openings, mm2. */
export const openArea = (openings: readonly Polygon[]): number =>
  openings.reduce((a, o) => a + polygonArea(o), 0)
