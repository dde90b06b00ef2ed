import { pointsOf, ringCentroid, ringHolds, type Point } from '../geometry'
import { ageOf, anchorOf, gemsOf, glitterRings, kindOf, type Step, type World } from '../look'
import { plainZone, type ZoneId } from '../skin'
import { LEAVE_OUT, type Check, type Finding, type Fix } from './finding'
import { shiftedFrom } from './shift'

type Found = Omit<Finding, 'check' | 'stepId'>

const LABEL = 'Local rules and the product\'s label come first.'
/** Below this age the usual practice is a small design on the arm or none, years; below this, lids and lashes stay clear (common practice). */
export const ARM_ONLY = 3, CLEAR_LIDS = 6
/** Chunky glitter, glue and gems keep this far from an eye, mm (common practice). */
export const EYE_CLEARANCE = 8

const EYES: readonly ZoneId[] = ['left.lid', 'right.lid', 'left.under-eye', 'right.under-eye']
const inZones = (step: Step, world: World, zones: readonly ZoneId[]): boolean => {
  if (step.kind === 'lips') return false
  const rings = zones.flatMap(z => world.ground.zone(z) ?? [])
  if (step.kind === 'wash' && step.zones.some(z => zones.some(w => plainZone(w) === plainZone(z)) || plainZone(z) === 'eye')) return true
  return rings.length > 0 && kindOf(step).prints(step, { ...world, flat: true, quick: true }).some(p => p.rings.some(r => pointsOf(r).some(q => rings.some(z => ringHolds(z, ...q)))))
}

/** Distance from an eye's opening to the nearest of some points, mm; infinite on an arm. */
export function eyeClearance(points: readonly (readonly [number, number])[], { ground }: Pick<World, 'ground'>): number {
  const eyes = ground.keepOuts.filter(k => k.words.endsWith('eye')).flatMap(k => pointsOf(k.ring))
  return Math.min(Infinity, ...points.flatMap(p => eyes.map(e => Math.hypot(p[0] - e[0], p[1] - e[1]))))
}

/** The middle of the eye nearest to a point of a face. */
function eyeNear([x, y]: Point, { ground }: World): Point {
  const middles = ground.keepOuts.filter(k => k.words.endsWith('eye')).map(k => ringCentroid(k.ring))
  return middles.sort((a, b) => Math.hypot(a[0] - x, a[1] - y) - Math.hypot(b[0] - x, b[1] - y))[0] ?? [x, y]
}

/** What a person said counts for the steps that it concerns. */
export const answers: Check = ({ look, step, world }) => {
  const { sitting } = look, found: Found[] = [], lids = step.kind === 'line' && (step.shape === 'eyeliner' || step.shape === 'lashes'), eyes = lids || inZones(step, world, EYES)
  if (eyes && sitting.eyes === 'no') found.push({ level: 'stop', title: 'No paint near the eyes was wanted', why: 'The person said no to the eyes: leave this step out, or move it.', fix: LEAVE_OUT })
  if (step.kind === 'lips' && sitting.lips === 'no') found.push({ level: 'stop', title: 'No paint on the lips was wanted', why: 'The person said no to the lips: leave this step out.', fix: LEAVE_OUT })
  return found
}

/** Lids and lash line of young children stay clear. */
export const lids: Check = ({ look, step, world }) => {
  const age = ageOf(look), own = step.kind === 'line' && (step.shape === 'eyeliner' || step.shape === 'lashes')
  if (age >= CLEAR_LIDS || !world.ground.face || !(own || inZones(step, world, ['left.lid', 'right.lid']))) return []
  return [{ level: 'care', title: `${own ? 'Lash line' : 'Eyelid'} of a child of ${age}`, why: `Common practice leaves eyelids and lashes clear under ${CLEAR_LIDS} years: they cannot hold their eyes shut. ${LABEL}`, fix: LEAVE_OUT }]
}

/** Chunky glitter, gel and gems near eyes, and what keeps them on. */
export const sparkle: Check = ({ look, step, world }) => {
  const found: Found[] = [], age = ageOf(look)
  if (step.kind === 'glitter' && (step.sort === 'chunky' || step.sort === 'gel')) {
    const near = eyeClearance(glitterRings(step, world).flatMap(pointsOf), world)
    if (near < EYE_CLEARANCE) found.push({ level: step.sort === 'chunky' ? 'stop' : 'care', title: `${step.sort === 'chunky' ? 'Chunky glitter' : 'Glitter gel'} ${near.toFixed(0)} mm from an eye`, why: `Keep it at least ${EYE_CLEARANCE} mm away: a flake in an eye cuts. Cosmetic grade only. ${LABEL}`, fix: { words: 'Fine glitter instead', sets: [{ path: ['sort'], to: 'fine' }] } })
  }
  if (step.kind === 'gem') {
    const clearance = (s: typeof step) => eyeClearance(gemsOf(s, world).map(g => g.at), world) - s.size / 2, near = clearance(step)
    const glued: Fix | null = step.fix === 'glued' ? { words: 'Self-adhesive instead', sets: [{ path: ['fix'], to: 'self-adhesive' }] } : null
    if (near < EYE_CLEARANCE) found.push({ level: step.fix === 'glued' ? 'stop' : 'care', title: `Gem ${Math.max(0, near).toFixed(0)} mm from an eye`, why: `Gems keep ${EYE_CLEARANCE} mm clear of the eye${step.fix === 'glued' ? ', and adhesive never comes near one' : ''}. ${LABEL}`, fix: shiftedFrom(step, eyeNear(anchorOf(step.points), world), 'eye', world, s => clearance(s) >= EYE_CLEARANCE) ?? glued })
    if (age < CLEAR_LIDS) found.push({ level: age < ARM_ONLY ? 'stop' : 'care', title: 'Gems within reach of a small child', why: `Small parts are swallowed: common practice uses none under ${ARM_ONLY} years and asks the parent under ${CLEAR_LIDS}. ${LABEL}`, fix: LEAVE_OUT })
    if (step.fix === 'glued' && look.sitting.allergies === 'some') found.push({ level: 'stop', title: 'Adhesive on a person with allergies', why: `Use self-adhesive gems or none. ${LABEL}`, fix: glued })
  }
  return found
}

/** Nothing is shared on lips. */
export const lipsShared: Check = ({ step }) => step.kind !== 'lips' ? [] : [{ level: 'tip', title: 'One cotton bud, one person', why: `Take the paint off the cake first, with a fresh bud; nothing goes from lips back to the cake. ${LABEL}`, fix: null }]

/** Brushwork, dots, gems and glitter that run over an open eye or a nostril. */
export const overEyes: Check = ({ look, step, world }) => {
  if (!('points' in step)) return []
  const keep = world.ground.keepOuts.filter(k => k.words !== 'hair' && k.words !== 'mouth' && !(look.skin.eyes === 'closed' && k.words.endsWith('eye')))
  const over = (s: typeof step) => {
    const points = kindOf(s).prints(s, { ...world, flat: true, quick: true }).flatMap(p => p.rings.flatMap(pointsOf))
    return keep.filter(k => points.some(p => ringHolds(k.ring, ...p)))
  }
  const hit = over(step), eyes = hit.some(k => k.words.endsWith('eye'))
  if (!hit.length) return []
  return [{
    level: eyes ? 'stop' : 'care', title: `Runs over the ${hit.map(k => k.words).join(' and the ')}`, why: eyes ? 'Paint must keep off open eyes: move its handles, or make it smaller.' : 'Leave the nostrils themselves free: paint round them, or make it smaller.',
    fix: step.kind === 'wash' ? null : shiftedFrom(step, ringCentroid((hit.find(k => k.words.endsWith('eye')) ?? hit[0]!).ring), eyes ? 'eye' : 'nostril', world, s => over(s).length === 0),
  }]
}

/** Glitter that should stick goes on while its host is wet. */
export const glitterHost: Check = ({ look, step, index, world }) => {
  if (step.kind !== 'glitter' || step.on === null) return []
  const at = look.steps.findIndex(s => s.id === step.on), host = look.steps[at]
  if (!host) return [{ level: 'care', title: 'Its wet paint is gone', why: 'The step on whose wet paint it should go is not in the look any more.', fix: { words: 'Put it on last', sets: step.area === 'print' ? [] : [{ path: ['on'], to: null }] } }].filter(f => f.fix!.sets.length) as Found[]
  const between = look.steps.slice(at + 1, index).reduce((s, b) => s + kindOf(b).effort(b, world).seconds, 0), dries = kindOf(host).dries(host)
  const behind = { words: `Right behind "${host.label}"`, sets: [], goes: { behind: host.id } }
  if (at > index) return [{ level: 'stop', title: 'Comes before its paint', why: `"${host.label}" is painted later: move this step behind it.`, fix: behind }]
  return between > dries / 2 ? [{ level: 'care', title: `${host.label} is dry by then`, why: `Its paint stays wet for about ${Math.round(dries / 2)} s and ${Math.round(between)} s of work lie between (estimate): fine glitter would fall off. Move this step right behind it.`, fix: behind }] : []
}

/** What concerns the whole sitting: told once, on no step. */
export function sittingFindings(look: Parameters<Check>[0]['look'], world: World): Found[] {
  const { sitting } = look, found: Found[] = [], age = ageOf(look)
  if (age < ARM_ONLY && world.ground.face) found.push({ level: 'stop', title: `Under ${ARM_ONLY} years: the arm only`, why: `Common practice, and many insurers: very young children get a small design on the arm or none. ${LABEL}`, fix: null })
  if (sitting.skin === 'broken or sore') found.push({ level: 'stop', title: 'No paint on broken or sore skin', why: 'Leave that place out, or do not paint today. Nobody who is ill is painted.', fix: null })
  if (sitting.patch === 'reacted') found.push({ level: 'stop', title: 'The test patch reacted', why: 'Wash it off with soap and water and do not paint.', fix: null })
  else if (sitting.allergies === 'some' && sitting.patch !== 'clear') found.push({ level: 'care', title: 'Allergies: test patch first', why: `Dab a little on the inner arm and wait; read the labels together. ${LABEL}`, fix: null })
  if (sitting.allergies === 'not asked' || sitting.skin === 'not asked') found.push({ level: 'tip', title: 'Ask before painting', why: 'Allergies, skin trouble, eyes and lips yes or no; offer a test patch.', fix: null })
  return found
}
