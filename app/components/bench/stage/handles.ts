import type { Point } from '#core/geometry'
import { placementsOf, type SheetStep, type World } from '#core/look'
import { layOn, type Placement } from '#core/skin'
import type { Stencil } from '#core/stencil'
import { toScreen, type View } from './view'

export interface Handles {
  readonly turn: Point
  readonly flip: Point
  readonly top: Point
  readonly middle: Point
}

/**
 * Where a sheet's handles stand on the stage: turning above its top edge, flipping off its right edge, both
 * where the sheet goes on in the air.
 */
function handlesOf(placement: Placement, world: World, sheet: Stencil, view: View): Handles {
  const laid = layOn(world.ground.surface, placement, true)
  const top = toScreen(view, laid.point([0, -sheet.height / 2]))
  const right = toScreen(view, laid.point([sheet.width / 2, 0]))
  const middle = toScreen(view, laid.point([0, 0]))
  const beyond = (p: Point): Point => {
    const dx = p[0] - middle[0]
    const dy = p[1] - middle[1]
    const l = Math.hypot(dx, dy) || 1
    return [p[0] + (dx / l) * 16, p[1] + (dy / l) * 16]
  }
  return { turn: beyond(top), flip: beyond(right), top, middle }
}

/**
 * The handles of a step's sheet, or of its twin, and the side that lies up; null where there is no such sheet.
 */
export function heldHandles(step: SheetStep | null, twin: boolean, world: World, view: View) {
  const sheet = step && world.stencil(step.stencil)
  const placement = step && placementsOf(step, world)[twin ? 1 : 0]
  return sheet && placement ? { at: handlesOf(placement, world, sheet, view), side: placement.side } : null
}
