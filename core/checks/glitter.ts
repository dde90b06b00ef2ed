import { centroidOf, type Polygon } from '../geometry'
import {
  drySeconds,
  ageOf,
  anchorOf,
  coverOf,
  type GemStep,
  type GlitterStep,
  type Step,
  type World,
  enteredTimes,
  needsWet,
  withSteps,
} from '../look'
import { afterFix } from './applyFix'
import { LEAVE_OUT, ofOneKind, type Case, type Check, type Fix, type Found } from './finding'
import { keptOff } from './keepOff'
import { shiftedFrom } from './shiftOff'
import { EYE_CLEARANCE } from './regions'
import { ARM_ONLY, LABEL } from './sitting'

/** Under this age a parent is asked about small parts, years (common practice). */
const ASK_PARENT = 6

/** Less on the lips than this is a flake at their edge, mm2 (common practice). */
const ON_LIPS = 2

/** Distance from a step's gems or glitter to the nearest eye's opening, mm; infinite on an arm. */
export const eyeClearance = (step: Step, world: World, eyes: readonly Polygon[]): number =>
  coverOf(step, world).distanceTo(eyes)

/** The middle of the eye nearest to a step. */
function eyeNear(points: GemStep['points'], eyes: readonly Polygon[]) {
  const [x, y] = anchorOf(points)
  const middles = eyes.map(e => centroidOf([e]))
  return (
    middles.sort((a, b) => Math.hypot(a[0] - x, a[1] - y) - Math.hypot(b[0] - x, b[1] - y))[0] ??
    ([x, y] as const)
  )
}

const FINE: Fix = { words: 'Fine glitter instead', sets: [{ path: ['sort'], to: 'fine' }] }

function ofGlitter({ cover, regions, step }: Case & { readonly step: GlitterStep }): Found[] {
  if (step.sort !== 'chunky' && step.sort !== 'gel') return []
  const found: Found[] = []
  const near = cover.distanceTo(regions.eyes)
  const words = step.sort === 'chunky' ? 'Chunky glitter' : 'Glitter gel'
  if (near < EYE_CLEARANCE) {
    found.push({
      level: step.sort === 'chunky' ? 'problem' : 'warning',
      title: near < 0.5 ? `${words} at an eye` : `${words} ${near.toFixed(0)} mm from an eye`,
      why: `Keep it at least ${EYE_CLEARANCE} mm away: a flake in an eye cuts. Cosmetic grade only. ${LABEL}`,
      fix: FINE,
    })
  }
  if (cover.area(regions.lips) > ON_LIPS) {
    found.push({
      level: step.sort === 'chunky' ? 'problem' : 'warning',
      title: `${words} on the lips`,
      why: `It is swallowed, and its edges cut. ${LABEL}`,
      fix: FINE,
    })
  }
  return found
}

function ofGem({ look, cover, regions, world, step }: Case & { readonly step: GemStep }): Found[] {
  const found: Found[] = []
  const age = ageOf(look)
  const near = cover.distanceTo(regions.eyes)
  const { fix: fixed } = step
  const glued: Fix | null =
    fixed === 'glued'
      ? { words: 'Self-adhesive instead', sets: [{ path: ['fix'], to: 'self-adhesive' }] }
      : null
  if (near < EYE_CLEARANCE) {
    const clear = (s: GemStep) => coverOf(s, world).distanceTo(regions.eyes) >= EYE_CLEARANCE
    found.push({
      level: fixed === 'glued' ? 'problem' : 'warning',
      title: near < 0.5 ? 'Gem at an eye' : `Gem ${near.toFixed(0)} mm from an eye`,
      why: `Gems keep ${EYE_CLEARANCE} mm clear of the eye${fixed === 'glued' ? ', and adhesive never comes near one' : ''}. ${LABEL}`,
      fix: shiftedFrom(step, eyeNear(step.points, regions.eyes), 'eye', world, clear) ?? glued,
    })
  }
  if (cover.area(regions.lips) > ON_LIPS) {
    const off = keptOff(
      step,
      { region: regions.lips, named: 'lips', middle: centroidOf(cover.within(regions.lips)), most: ON_LIPS },
      world,
    )
    found.push({
      level: fixed === 'glued' ? 'problem' : 'warning',
      title: 'Gem on the lips',
      why: `It comes off and is swallowed${fixed === 'glued' ? ', and adhesive keeps away from lips' : ''}. ${LABEL}`,
      fix: off,
    })
  }
  if (age < ASK_PARENT) {
    found.push({
      level: age < ARM_ONLY ? 'problem' : 'warning',
      title: 'Gems within reach of a small child',
      why: `Small parts are swallowed: common practice uses none under ${ARM_ONLY} years and asks the parent under ${ASK_PARENT}. ${LABEL}`,
      fix: LEAVE_OUT,
    })
  }
  if (fixed === 'glued' && look.sitting.allergies === 'some')
    found.push({
      level: 'problem',
      title: 'Adhesive on a person with allergies',
      why: `Use self-adhesive gems or none. ${LABEL}`,
      fix: glued,
    })
  return found
}

const glitter = ofOneKind('glitter', ofGlitter)
const gems = ofOneKind('gem', ofGem)

/** Chunky glitter, gel and gems near eyes and on lips, and what keeps them on. */
export const sparkle: Check = at => [...glitter(at), ...gems(at)]

/** Fine glitter whose paint is dry by the time it is strewn falls off. */
function driedBy(at: Case & { readonly step: GlitterStep }, host: Step): Found[] {
  const { look, step, world } = at
  const times = enteredTimes(look, world)
  const passed = (times.get(step.id)?.start ?? 0) - (times.get(host.id)?.end ?? 0)
  const wet = drySeconds(host, world) / 2
  if (passed <= wet) return []
  return [
    {
      level: 'warning',
      title: `${host.label} is dry by then`,
      why: `Its paint stays wet for about ${Math.round(wet)} s and ${Math.round(passed)} s lie between (estimate): fine glitter would fall off. Move this step right behind it.`,
      fix: stillWet(at, host) ? behind(at, host) : null,
    },
  ]
}

/** Whether the paint would be wet for glitter that comes right behind the last of its hosts. */
function stillWet(at: Case & { readonly step: GlitterStep }, host: Step): boolean {
  const { look, step, world } = at
  const moved = afterFix(look.steps, step.id, behind(at, host), () => '')
  const times = enteredTimes({ steps: moved }, withSteps(world, moved, world.off))
  const passed = (times.get(step.id)?.start ?? 0) - (times.get(host.id)?.end ?? 0)
  return passed <= drySeconds(host, world) / 2
}

/** Puts glitter right behind the last of the steps over whose prints it goes: before one of them it would lack it. */
function behind({ look, step }: Case & { readonly step: GlitterStep }, host: Step): Fix {
  const over = new Set([host.id, ...(step.over ?? [])])
  const last = look.steps.findLast(s => over.has(s.id)) ?? host
  return { words: `Right behind "${last.label}"`, sets: [], goes: { behind: last.id } }
}

/** Glitter that should stick goes on while its host is wet; gel and chunky glitter hold by their own gel. */
export const glitterHost = ofOneKind('glitter', at => {
  const { look, step, index } = at
  if (step.on === null) return []
  const from = look.steps.findIndex(s => s.id === step.on)
  const host = look.steps[from]
  if (!host)
    return step.area === 'print'
      ? []
      : [
          {
            level: 'warning',
            title: 'Its wet paint is gone',
            why: 'The step on whose wet paint it should go is not in the look any more.',
            fix: { words: 'Put it on last', sets: [{ path: ['on'], to: null }] },
          },
        ]
  if (from > index)
    return [
      {
        level: 'problem',
        title: 'Comes before its paint',
        why: `"${host.label}" is painted later: move this step behind it.`,
        fix: behind(at, host),
      },
    ]
  return needsWet(step) ? driedBy(at, host) : []
})
