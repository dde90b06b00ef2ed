import { dabSeconds, HANDS, loadsFor } from '../../../order'
import { filmOf } from '../../../paint'
import type { PreparedSheet } from '../../../stencil'
import type { Effort } from '../kind'
import { heldBy, toolIn, type World } from '../world'
import { openArea } from './openings'
import { partShare } from './part'
import { twinHandling } from './placements'
import type { Pass, SheetStep } from './schema'

/** Thickness of the film that a pass leaves, mg/cm2; of a full tool for one that goes on with what it holds. */
export const passFilm = (pass: Pass, world: World): number =>
  filmOf(toolIn(world, pass.tool), pass.wetness, pass.dabs) * (pass.carries ? 1 : pass.charge) * heldBy(world)

/**
 * Loads of the tool that a pass takes on one side, by what it lays: the card and the findings count alike.
 * @param share of its openings, where only a part of the sheet is dabbed
 */
export function passLoads(
  pass: Pass,
  sheet: PreparedSheet,
  world: World,
  dabs = pass.dabs,
  share = 1,
): number {
  if (pass.carries) return 0
  const tool = toolIn(world, pass.tool)
  return loadsFor(share * openArea(pass, sheet), filmOf(tool, pass.wetness, 1) * pass.charge, dabs, tool)
}

/** Seconds of the hands for a pass on one side, its loads in it; see passLoads. */
export function passSeconds(pass: Pass, sheet: PreparedSheet, world: World, share = 1): number {
  return (
    HANDS.reload * passLoads(pass, sheet, world, pass.dabs, share) +
    dabSeconds(share * openArea(pass, sheet), pass.dabs, toolIn(world, pass.tool)) +
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
    const share = partShare(pass, step, world)
    loads += passLoads(pass, sheet, world, pass.dabs, share)
    seconds += passSeconds(pass, sheet, world, share)
  }
  const wiped = twins > 1 && twinHandling(step, world) === 'wipe and flip'
  return { loads: loads * twins, seconds: seconds * twins + (wiped ? HANDS.wipe : 0) }
}
