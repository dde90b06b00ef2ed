import { dabSeconds, effortFrom, HANDS, loadsFor, task, type HandTask } from '../../../order'
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

/** What the hands do for a pass on one side, its loads in it; see passLoads. */
function passTasks(pass: Pass, sheet: PreparedSheet, world: World, share: number): HandTask[] {
  return [
    task('load', HANDS.reload * passLoads(pass, sheet, world, pass.dabs, share)),
    task('dab', dabSeconds(share * openArea(pass, sheet), pass.dabs, toolIn(world, pass.tool))),
    task('glitter', pass.glitter ? HANDS.glitter : 0),
  ]
}

/** Seconds of the hands for a pass on one side. */
export const passSeconds = (pass: Pass, sheet: PreparedSheet, world: World, share = 1): number =>
  passTasks(pass, sheet, world, share).reduce((sum, t) => sum + t.seconds, 0)

/** What a step takes, its twin in it: the first load, the sheet placed, its passes, and the sheet lifted. */
export function effortOf(step: SheetStep, world: World): Effort {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return effortFrom([], 0)
  const twins = step.twin.rule === 'none' ? 1 : 2
  const shares = step.passes.map(pass => partShare(pass, step, world))
  const loads = step.passes.reduce(
    (sum, pass, i) => sum + passLoads(pass, sheet, world, pass.dabs, shares[i]!),
    0,
  )
  const [first, ...rest] = step.passes.flatMap((pass, i) => passTasks(pass, sheet, world, shares[i]!))
  const side = [first!, task('place', HANDS.place), ...rest, task('lift', HANDS.lift)]
  const wiped = twins > 1 && twinHandling(step, world) === 'wipe and flip'
  const twin = twins > 1 ? [task('wipe', wiped ? HANDS.wipe : 0), ...side] : []
  return effortFrom([...side, ...twin], loads * twins)
}
