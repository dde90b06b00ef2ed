import { dabSeconds, HANDS, loadsFor } from '../../../order'
import { filmOf } from '../../../paint'
import type { PreparedSheet } from '../../../stencil'
import type { Effort } from '../kind'
import { heldBy, toolIn, type World } from '../world'
import { openArea } from './openings'
import { twinHandling } from './placements'
import type { Pass, SheetStep } from './schema'

/** Thickness of the film that a pass leaves, mg/cm2. */
export const passFilm = (pass: Pass, world: World): number =>
  filmOf(toolIn(world, pass.tool), pass.wetness, pass.dabs) * pass.charge * heldBy(world)

/**
 * Loads of the tool that a pass takes on one side, by what it lays: the card and the findings count alike.
 */
export function passLoads(pass: Pass, sheet: PreparedSheet, world: World, dabs = pass.dabs): number {
  const tool = toolIn(world, pass.tool)
  return loadsFor(openArea(pass, sheet), filmOf(tool, pass.wetness, 1) * pass.charge, dabs, tool)
}

/** Seconds of the hands for a pass on one side, its loads in it. */
export function passSeconds(pass: Pass, sheet: PreparedSheet, world: World): number {
  return (
    HANDS.reload * passLoads(pass, sheet, world) +
    dabSeconds(openArea(pass, sheet), pass.dabs, toolIn(world, pass.tool)) +
    (pass.glitter ? HANDS.glitter : 0)
  )
}

/** Seconds and loads that a step takes, its twin in it. */
export function effortOf(step: SheetStep, world: World): Effort {
  const sheet = world.stencil(step.stencil)
  const twins = step.twin.rule === 'none' ? 1 : 2
  if (!sheet) return { seconds: 0, loads: 0 }
  let loads = 0
  let seconds = HANDS.place + HANDS.lift
  for (const pass of step.passes) {
    loads += passLoads(pass, sheet, world)
    seconds += passSeconds(pass, sheet, world)
  }
  const wiped = twins > 1 && twinHandling(step, world) === 'wipe and flip'
  return { loads: loads * twins, seconds: seconds * twins + (wiped ? HANDS.wipe : 0) }
}
