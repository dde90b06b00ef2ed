import type { Placement } from '../skin'
import type { Stencil } from '../stencil'
import type { World } from './kinds'
import { pressedAt } from './seat'

const known = new WeakMap<Stencil, Map<string, Float64Array>>()
const MOST = 24

/** How far a sheet that is pressed down where it is dabbed stands off the skin at each of its openings, mm; worked out once for each place. */
export function gapsOf(
  sheet: Stencil,
  placement: Placement,
  world: World,
  painted: ReadonlySet<number>,
): Float64Array {
  let places = known.get(sheet)
  if (!places) known.set(sheet, (places = new Map()))
  const key = JSON.stringify([
    placement,
    world.ground.canvas,
    world.ground.box,
    painted.size === sheet.openings.length ? 'all' : [...painted],
  ])
  let gaps = places.get(key)
  if (!gaps) {
    gaps = pressedAt(sheet, placement, world, painted, 420)
    places.set(key, gaps)
    if (places.size > MOST) places.delete(places.keys().next().value!)
  }
  return gaps
}
