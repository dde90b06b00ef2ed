import type Konva from 'konva'
import { boxOf, polygonHolds, ringCentroid, ringHolds, ringOf, type Point } from '#core/geometry'
import { laidOf, ownNumber, type SheetStep, type World } from '#core/look'
import { distanceToRing } from '#core/stencil'
import { openingsShape } from './pen'
import type { View } from './view'

/** Draws the openings of a sheet and its twin that may be chosen, those that are chosen filled. */
export function drawChoice(
  layer: Konva.Layer,
  step: SheetStep,
  chosen: ReadonlySet<number>,
  may: ReadonlySet<number>,
  world: World,
  view: View,
): void {
  const sheet = world.stencil(step.stencil)
  const own = ownNumber(step, world)
  if (!sheet) return
  laidOf(step, world).forEach((laid, i) =>
    layer.add(
      openingsShape(
        sheet.openings.map(o => [o.outer, ...o.holes].map(laid.ring)),
        view,
        (c, k) => {
          const n = i ? own(k) : k
          if (!may.has(n)) return false
          c.fillStyle = chosen.has(n) ? 'rgba(122,46,93,0.55)' : 'rgba(253,252,249,0.45)'
          return true
        },
      ),
    ),
  )
}

/**
 * The opening of a step's sheet, or of its twin, under a point of the skin, as the step numbers it; the
 * nearest one within reach, so that small ones are hit easily. Null beside them all.
 * @param reach mm
 */
export function openingAt(step: SheetStep, world: World, at: Point, reach: number): number | null {
  const sheet = world.stencil(step.stencil)
  const own = ownNumber(step, world)
  let best: number | null = null,
    least = reach
  laidOf(step, world).forEach((laid, i) =>
    sheet?.openings.forEach((o, n) => {
      const [x, y] = laid.back(at)
      const b = boxOf(o.outer)
      if (x < b.minX - least || x > b.maxX + least || y < b.minY - least || y > b.maxY + least) return
      const far = polygonHolds(o, x, y)
        ? 0
        : Math.min(...[o.outer, ...o.holes].map(r => distanceToRing(r, x, y)))
      if (far < least || (far === 0 && least === 0)) {
        least = far
        best = i ? own(n) : n
      }
    }),
  )
  return best
}

/**
 * The openings of a step's sheet, or of its twin, whose middles lie inside a loop on the skin, as the step
 * numbers them.
 */
export function openingsIn(step: SheetStep, world: World, loop: readonly Point[]): number[] {
  const sheet = world.stencil(step.stencil)
  const own = ownNumber(step, world)
  const ring = ringOf(loop)
  return sheet
    ? laidOf(step, world).flatMap((laid, i) =>
        sheet.openings.flatMap((o, n) =>
          ringHolds(ring, ...laid.point(ringCentroid(o.outer))) ? [i ? own(n) : n] : [],
        ),
      )
    : []
}
