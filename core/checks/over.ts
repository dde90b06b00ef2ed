import { centroidOf, type Polygon } from '../geometry'
import { areaOf, isAround, TOUCH, type Step } from '../look'
import { LEAVE_OUT, ofSheets, type Case, type Check } from './finding'
import { keptOff, openingsOn, withoutOpenings } from './keepOff'

/** Strokes along the lid and lashes are drawn on eyes that are shut, whatever the finished look shows. */
export const shutForIt = (step: Step): boolean =>
  step.kind === 'line' && (step.shape === 'eyeliner' || step.shape === 'lashes')

/** The piece of some regions that a step covers most, for telling which eye it is and moving away from it. */
const nearestPiece = (at: Case, region: readonly Polygon[]): Polygon[] =>
  region.map(p => [p]).sort((a, b) => at.cover.area(b) - at.cover.area(a))[0] ?? []

/** Openings of a sheet that lie over an open eye, a nostril, the mouth or hair. */
export const keepOut = ofSheets(at => {
  const { step, sheet, regions, world } = at
  const found: ReturnType<Check> = []
  const bad = new Set<number>()
  const over: string[] = []
  for (const { words, region } of regions.named) {
    const hit = openingsOn(step, sheet, region, world)
    if (hit.size) over.push(words)
    hit.forEach(n => bad.add(n))
  }
  if (bad.size) {
    found.push({
      level: over.some(w => w !== 'mouth') ? 'stop' : 'care',
      title: `${bad.size} ${bad.size === 1 ? 'opening lies' : 'openings lie'} over the ${over.join(' and the ')}`,
      why: 'Paint must keep off open eyes, nostrils and the mouth.',
      fix: withoutOpenings(step, sheet, bad) ?? LEAVE_OUT,
    })
  }
  const onHair = at.cover.area(regions.hair)
  const hairy = onHair > ON_HAIR ? openingsOn(step, sheet, regions.hair, world) : new Set<number>()
  if (hairy.size) {
    found.push({
      level: 'tip',
      title: `${hairy.size} ${hairy.size === 1 ? 'opening lies' : 'openings lie'} over hair`,
      why: 'They print on hair, not on skin: shift the sheet, or leave them out.',
      fix: withoutOpenings(step, sheet, hairy),
    })
  }
  return found
})

/** As little of a print on hair as this is lost without anybody missing it, mm2 (common practice). */
const ON_HAIR = 12

/** What to do about it by hand, for what the step is. */
function byHand(step: Step): string {
  if ((step.kind === 'line' && isAround(step.shape)) || (step.kind === 'dots' && step.run === 'around'))
    return 'give it another distance, or let it go around fewer openings'
  if (step.kind === 'wash') return 'draw its outline round it'
  if (step.kind === 'gem') return 'set it elsewhere'
  if (step.kind === 'glitter') return 'draw its area round it'
  return step.kind === 'lips' ? 'leave it out' : 'move its handles, or make it smaller'
}

/** Bases, brushwork, dots, gems and glitter that run over an open eye or a nostril, or onto hair. */
export const overEyes: Check = at => {
  const { step, regions, cover, world } = at
  if (step.kind === 'sheet' || step.kind === 'lips') return []
  const found: ReturnType<Check> = []
  const hit = regions.named.filter(
    k => k.words !== 'mouth' && !(shutForIt(step) && k.words.endsWith('eye')) && cover.area(k.region) > TOUCH,
  )
  const eyes = hit.filter(k => k.words.endsWith('eye'))
  const worst = eyes[0] ?? hit[0]
  if (worst) {
    const region = nearestPiece(
      at,
      hit.filter(k => k.words.endsWith('eye') === worst.words.endsWith('eye')).flatMap(k => [...k.region]),
    )
    const names = hit.some(k => k.words.endsWith('eye'))
      ? hit.some(k => k.words.endsWith('nostril'))
        ? ['eyes', 'nostrils']
        : ['eyes']
      : ['nostrils']
    const fix =
      step.kind === 'wash'
        ? {
            words: `Leave the ${names.join(' and ')} free`,
            sets: [{ path: ['free'], to: [...new Set([...(step.free ?? []), ...names])] }],
          }
        : keptOff(
            step,
            {
              region: eyes.length ? regions.openEyes : regions.nostrils,
              named: eyes.length ? 'eye' : 'nostril',
              middle: centroidOf(region),
            },
            world,
          )
    found.push({
      level: eyes.length ? 'stop' : 'care',
      title: `Runs over the ${hit.map(k => k.words).join(' and the ')}`,
      why: `${eyes.length ? 'Paint must keep off open eyes' : 'Leave the nostrils themselves free'}: ${byHand(step)}.`,
      fix: eyes.length || fix !== LEAVE_OUT ? fix : null,
    })
  }
  const zones = (step.kind === 'wash' || step.kind === 'glitter') && step.zones.length > 0
  const onHair = zones ? 0 : cover.area(regions.hair)
  if (onHair > ON_HAIR && onHair > 0.1 * areaOf(cover.region)) {
    const fix = keptOff(
      step,
      { region: regions.hair, named: 'hair', middle: centroidOf(cover.within(regions.hair)) },
      world,
    )
    found.push({
      level: 'tip',
      title: `Runs ${Math.round((onHair / 100) * 10) / 10} cm² into the hair`,
      why: 'There it lies on hair, not on skin.',
      fix: fix === LEAVE_OUT ? null : fix,
    })
  }
  return found
}
