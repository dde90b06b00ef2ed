import { boxAround, type Point } from '../../../geometry'
import { NO_TWIN } from '../../document'
import type { World } from '../world'
import { paintedOpenings } from './openings'
import type { SheetStep } from './schema'

/** Nearer to the sheet's middle than this what is printed counts as the whole sheet, mm. */
const WHOLE = 2

/**
 * The middle of what a sheet prints, in the sheet's frame (mm); its own middle when it prints about there.
 */
export function printedMiddle(step: SheetStep, world: World): Point {
  const sheet = world.stencil(step.stencil)
  const shapes = sheet
    ? [...paintedOpenings({ ...step, twin: NO_TWIN }, world)[0]!].flatMap(n => sheet.openings[n] ?? [])
    : []
  if (!shapes.length) return [0, 0]
  const b = boxAround(shapes)
  const middle: Point = [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]
  return Math.hypot(...middle) < WHOLE ? [0, 0] : middle
}
