import { boxOf, polygonHolds, ringHolds, type Point, type Polygon } from '../../../geometry'
import { distanceToRing } from '../../../stencil'
import type { World } from '../world'
import { paintedOpenings } from './openings'
import { laidOf } from './placements'
import type { SheetStep } from './schema'

/**
 * How far beside what it prints the selected sheet is still held, mm; all of it where it prints as a whole.
 */
const BESIDE = 4

function besideOpening(opening: Polygon, x: number, y: number): boolean {
  const b = boxOf(opening.outer)
  return (
    x > b.minX - BESIDE &&
    x < b.maxX + BESIDE &&
    y > b.minY - BESIDE &&
    y < b.maxY + BESIDE &&
    (ringHolds(opening.outer, x, y) || distanceToRing(opening.outer, x, y) < BESIDE)
  )
}

/**
 * Whether a step's sheet, or its twin, lies under a point: where it is held as the selected one, or only
 * where it prints.
 */
export function hitSheet(step: SheetStep, world: World, at: Point, held: boolean): { twin: boolean } | null {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  const reach = Math.hypot(sheet.width, sheet.height)
  const painted = paintedOpenings(step, world)
  const whole = held && painted[0]!.size === sheet.openings.length
  const near = (n: number, x: number, y: number): boolean => {
    const opening = sheet.openings[n]
    if (!opening) return false
    return polygonHolds(opening, x, y) || (held && besideOpening(opening, x, y))
  }
  const n = laidOf(step, world).findIndex((laid, i) => {
    const middle = laid.point([0, 0])
    // Far from the sheet nothing need be followed over the skin.
    if (Math.hypot(middle[0] - at[0], middle[1] - at[1]) > reach) return false
    const [x, y] = laid.back(at)
    return whole ? ringHolds(sheet.outline, x, y) : [...painted[i]!].some(k => near(k, x, y))
  })
  return n < 0 ? null : { twin: n > 0 }
}
