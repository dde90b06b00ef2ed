import type { Polygon } from '../geometry'
import {
  openingNumbers,
  openingsOver,
  ownNumber,
  paintedOpenings,
  placementsOf,
  TOUCH,
  type Pass,
  type SheetStep,
  type World,
} from '../look'
import type { Stencil } from '../stencil'
import type { Fix } from './finding'

/**
 * The openings of a step, as the step numbers them, that lie over a region, on its own side or its twin's.
 */
export function openingsOn(
  step: SheetStep,
  sheet: Stencil,
  region: readonly Polygon[],
  world: World,
  least = TOUCH,
): Set<number> {
  const own = ownNumber(step, world)
  const painted = paintedOpenings(step, world)
  const found = new Set<number>()
  placementsOf(step, world).forEach((placement, i) => {
    for (const n of openingsOver(sheet, placement, painted[i]!, region, world, least))
      found.add(i ? own(n) : n)
  })
  return found
}

/** Leaves openings of a sheet out of every pass; null when a pass would be left with none. */
export function withoutOpenings(
  step: SheetStep,
  sheet: Stencil,
  drop: ReadonlySet<number>,
  words = 'Leave those openings out',
): Fix | null {
  const rest = (pass: Pass) => openingNumbers(pass, sheet).filter(n => !drop.has(n))
  if (drop.size === 0 || step.passes.some(p => rest(p).length === 0)) return null
  return {
    words,
    sets: step.passes.map((p, i) => ({
      path: ['passes', i, 'openings'],
      to: { use: 'chosen', numbers: rest(p) },
    })),
  }
}
