import { centroidOf, tenth, type Polygon } from '../geometry'
import {
  areaOf,
  FOLLOWS,
  isKind,
  kindOf,
  paintedOpenings,
  placementsOf,
  seatingOf,
  TOUCH,
  type SheetStep,
  type Wash,
  type World,
} from '../look'
import { keptWords } from '../skin'
import type { PreparedSheet } from '../stencil'
import { afterFix } from './applyFix'
import { LEAVE_OUT, ofSheets, type Case, type Check, type Fix } from './finding'
import { keptOff } from './keepOff'
import { openingsOn, withoutOpenings } from './openingsOff'
import { shutFor } from './places'
import type { Regions } from './regions'

type Named = Regions['named'][number]
const isEye = ({ kind }: Named): boolean => kind === 'eye'
/** Some parts of the face in a sentence. */
const namesOf = (parts: readonly Named[]): string => parts.map(keptWords).join(' and the ')

/** The piece of some regions that a step covers most, for telling which eye it is and moving away from it. */
const nearestPiece = (at: Case, region: readonly Polygon[]): Polygon[] =>
  region.map(p => [p]).sort((a, b) => at.cover.area(b) - at.cover.area(a))[0] ?? []

/** What of a region a sheet paints: where only a part of it is dabbed, or places are left free, that is less. */
function painted({ step, cover }: Case, region: readonly Polygon[]): readonly Polygon[] {
  const whole = isKind('sheet', step) && !step.free && !step.holes && step.passes.every(p => !p.part)
  return whole ? region : cover.within(region)
}

/** Openings of a sheet that lie over an open eye, a nostril, the mouth or hair. */
export const keepOut = ofSheets(at => {
  const { step, sheet, regions, world } = at
  const found: ReturnType<Check> = []
  const bad = new Set<number>()
  const over: Named[] = []
  // An opening over an eye that is shut for the step lies on its lid.
  const open = regions.named.filter(k => !(shutFor(step) && isEye(k)))
  for (const part of open) {
    const hit = openingsOn(step, sheet, painted(at, part.region), world)
    if (hit.size) over.push(part)
    hit.forEach(n => bad.add(n))
  }
  if (bad.size) {
    found.push({
      level: over.some(k => k.kind !== 'mouth') ? 'problem' : 'warning',
      title: `${bad.size} ${bad.size === 1 ? 'opening lies' : 'openings lie'} over the ${namesOf(over)}`,
      why: 'Paint must keep off open eyes, nostrils and the mouth.',
      fix: withoutOpenings(step, sheet, bad) ?? LEAVE_OUT,
    })
  }
  const onHair = at.cover.area(regions.hair)
  // Only what is really dabbed there counts: openings out of the part that a layer is kept to print nothing.
  const hairy =
    onHair > ON_HAIR ? openingsOn(step, sheet, painted(at, regions.hair), world) : new Set<number>()
  if (hairy.size) {
    found.push({
      level: 'tip',
      title: `${hairy.size} ${hairy.size === 1 ? 'opening lies' : 'openings lie'} over hair`,
      why: 'They print on hair, not on skin: shift the stencil, or leave them out.',
      fix: standingNoWorse(step, withoutOpenings(step, sheet, hairy), sheet, world),
    })
  }
  return found
})

/** Leaves openings out only where those that stay follow the skin no worse: else another fault would be told. */
function standingNoWorse(step: SheetStep, fix: Fix | null, sheet: PreparedSheet, world: World): Fix | null {
  if (!fix) return null
  const share = (s: SheetStep) => {
    const dabbed = paintedOpenings(s, world)
    const all = placementsOf(s, world).map((p, i) => seatingOf(sheet, p, world, dabbed[i]).seatedPressed)
    return Math.min(...all)
  }
  const [after] = afterFix([step], step.id, fix, () => step.id)
  const next = share(after as SheetStep)
  return next >= FOLLOWS || next >= share(step) ? fix : null
}

/** As little of a print on hair as this is lost without anybody missing it, mm2 (common practice). */
const ON_HAIR = 12

/** A base that is told to leave more places free. */
const leavingFree = (step: Wash, names: readonly ('eyes' | 'nostrils')[]): Fix => ({
  words: `Leave the ${names.join(' and ')} free`,
  sets: [{ path: ['free'], to: [...new Set([...(step.free ?? []), ...names])] }],
})

/** What runs over an open eye or a nostril. */
function onKept(at: Case, byHand: string): ReturnType<Check> {
  const { step, regions, cover, world } = at
  const shut = shutFor(step)
  const hit = regions.named.filter(
    k => k.kind !== 'mouth' && !(shut && isEye(k)) && cover.area(k.region) > TOUCH,
  )
  const eyes = hit.filter(isEye)
  const nostrils = hit.filter(k => k.kind === 'nostril')
  const worst = eyes[0] ?? hit[0]
  if (!worst) return []
  const alike = hit.filter(k => isEye(k) === isEye(worst)).flatMap(k => [...k.region])
  const place = {
    region: eyes.length ? regions.openEyes : regions.nostrils,
    named: eyes.length ? 'eye' : 'nostril',
    middle: centroidOf(nearestPiece(at, alike)),
  }
  const names = eyes.length
    ? (['eyes', ...(nostrils.length ? (['nostrils'] as const) : [])] as const)
    : NOSTRILS
  const fix = isKind('wash', step) ? leavingFree(step, names) : keptOff(step, place, world)
  return [
    {
      level: eyes.length ? 'problem' : 'warning',
      title: `Runs over the ${namesOf(hit)}`,
      why: `${eyes.length ? 'Paint must keep off open eyes' : 'Leave the nostrils themselves free'}: ${byHand}.`,
      fix: eyes.length || fix !== LEAVE_OUT ? fix : null,
    },
  ]
}
const NOSTRILS = ['nostrils'] as const

/** What runs into the hair; zones end where the hair begins. */
function onHair({ step, regions, cover, world }: Case): ReturnType<Check> {
  const zones = 'zones' in step && step.zones.length > 0
  const over = zones ? 0 : cover.area(regions.hair)
  if (!(over > ON_HAIR && over > 0.1 * areaOf(cover.region))) return []
  const middle = centroidOf(cover.within(regions.hair))
  const fix = keptOff(step, { region: regions.hair, named: 'hair', middle }, world)
  return [
    {
      level: 'tip',
      title: `Runs ${tenth(over / 100)} cm² into the hair`,
      why: 'There it lies on hair, not on skin.',
      fix: fix === LEAVE_OUT ? null : fix,
    },
  ]
}

/** Bases, brushwork, dots, gems and glitter that run over an open eye or a nostril, or onto hair. */
export const overEyes: Check = at => {
  const byHand = kindOf(at.step).cautions.byHand(at.step)
  return byHand === null ? [] : [...onKept(at, byHand), ...onHair(at)]
}
