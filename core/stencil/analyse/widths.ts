// The package ships no types; the reference reaches every program that imports this file.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./polylabel.d.ts" />
import polylabel from 'polylabel'
import { boxOf, pointsOf, shareAlong, type Point, type Polygon, type Ring } from '../../geometry'
import type { SheetGeometry } from '../types'
import type { Edges } from './edges'
import { measuringBudget, type Budget } from '../bounds'
import { necksOf, type Neck } from './necks'

/** The largest disc that fits into an opening: twice its radius is how wide the opening gets. */
function widestDisc(opening: Polygon): { at: Point; width: number } {
  const box = boxOf(opening.outer)
  const size = Math.min(box.maxX - box.minX, box.maxY - box.minY)
  const disc = polylabel(
    [opening.outer, ...opening.holes].map(ring => pointsOf(ring)),
    Math.max(0.01, size * 0.004),
  )
  return { at: [disc[0]!, disc[1]!], width: 2 * disc.distance }
}

/** How narrow an opening is: its tightest neck, or its greatest width where it has none. */
export interface Slot {
  readonly opening: number
  readonly width: number
  readonly from: Point
  readonly to: Point
}

/**
 * The slot of every opening, in the sheet's order.
 * @param necks the necks found so far, all that are narrower than `reach` mm; wider openings are looked at
 *   once more
 */
export function slotsOf(
  sheet: SheetGeometry,
  edges: Edges,
  necks: readonly Neck[],
  reach: number,
  budget: Budget = measuringBudget(),
): Slot[] {
  const tightest = new Map<number, Neck>()
  for (const neck of necks) {
    const opening = neck.openings[0]
    const known = tightest.get(opening)
    if (!known || neck.width < known.width) tightest.set(opening, neck)
  }
  return sheet.openings.map((opening, i) => {
    const { at, width } = widestDisc(opening)
    const neck =
      tightest.get(i) ?? (width > reach ? necksOf(edges, width, () => {}, i, budget).necks[0] : undefined)
    if (neck && neck.width < width) return { opening: i, width: neck.width, from: neck.from, to: neck.to }
    return { opening: i, width, from: [at[0] - width / 2, at[1]], to: [at[0] + width / 2, at[1]] }
  })
}

/**
 * Distance from the sheet's edge to the nearest opening, mm, with the opening: from each corner of either to
 * the edges of the other.
 */
export function edgeMargin(
  sheet: SheetGeometry,
  budget: Budget = measuringBudget(),
): { width: number; opening: number } {
  let width = Infinity,
    opening = -1
  const { outline } = sheet
  sheet.openings.forEach((o, n) => {
    budget.spend((o.outer.length * outline.length) / 32)
    for (let i = 0; i < o.outer.length; i += 2) {
      const d = distanceToRing(outline, o.outer[i]!, o.outer[i + 1]!)
      if (d < width) {
        width = d
        opening = n
      }
    }
    // A corner of the edge may come nearer to the side of an opening than any of its corners.
    const box = boxOf(o.outer)
    for (let i = 0; i < outline.length; i += 2) {
      const x = outline[i]!
      const y = outline[i + 1]!
      if (Math.max(box.minX - x, x - box.maxX, box.minY - y, y - box.maxY) >= width) continue
      const d = distanceToRing(o.outer, x, y)
      if (d < width) {
        width = d
        opening = n
      }
    }
  })
  return { width, opening }
}

/** Distance of a point from a ring, mm. */
export function distanceToRing(ring: Ring, x: number, y: number): number {
  let least = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const ax = ring[j]!
    const ay = ring[j + 1]!
    const bx = ring[i]!
    const by = ring[i + 1]!
    const t = shareAlong(x, y, ax, ay, bx, by)
    const u = x - ax - t * (bx - ax)
    const v = y - ay - t * (by - ay)
    least = Math.min(least, u * u + v * v)
  }
  return Math.sqrt(least)
}
