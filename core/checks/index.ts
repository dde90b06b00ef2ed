import { undersOf, type Look, type Shows, type World } from '../look'
import type { Paint } from '../paint'
import { bleed } from './bleed'
import { contrast, lineContrast } from './contrast'
import type { Check, Finding, Level } from './finding'
import { mud } from './mud'
import { keepOut, safe, seats, useBy, wipe } from './places'
import { halo, neighbour, reload } from './tools'
import { answers, glitterHost, lids, lipsShared, overEyes, sittingFindings, sparkle } from './sitting'
import { wetGround, wetLine } from './wetGround'

/** Every check, in the order in which its findings are told. */
export const CHECKS: Readonly<Record<string, Check>> = { answers, wetGround, wetLine, keepOut, overEyes, lids, sparkle, safe, bleed, contrast, lineContrast, neighbour, mud, useBy, seats, wipe, reload, halo, glitterHost, lipsShared }

const RANK: Record<Level, number> = { stop: 0, care: 1, tip: 2 }
export const LEVEL_WORDS: Readonly<Record<Level, string>> = { stop: 'Stop', care: 'Care', tip: 'Tip' }

/**
 * What there is to say of a look before it is painted, step by step, the gravest of a step first.
 * @param shows how the steps show, as far as they have been painted
 * @param today ISO 8601
 */
export function findingsOf(look: Look, world: World, kit: readonly Paint[], shows: readonly Shows[], today: string): Finding[] {
  const unders = undersOf(look.steps, world)
  const whole = sittingFindings(look, world).map((f): Finding => ({ check: 'sitting', stepId: null, ...f }))
  return [...whole, ...look.steps.flatMap((step, index) => {
    const at = { look, step, index, world, kit, today, under: unders.get(step.id)!, shows: shows.find(s => s.stepId === step.id) }
    return Object.entries(CHECKS).flatMap(([check, run]) => run(at).map((f): Finding => ({ check, stepId: step.id, ...f }))).sort((a, b) => RANK[a.level] - RANK[b.level])
  })]
}

export * from './finding'
export { afterFix } from './applyFix'
export { ARM_ONLY, CLEAR_LIDS, EYE_CLEARANCE, eyeClearance } from './sitting'
export { betterPaints } from './contrast'
export { bridgesOf, closedBridges } from './bleed'
