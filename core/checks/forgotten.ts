import { distance, type Point } from '../geometry'
import { handRestsOn } from '../chair'
import {
  isBase,
  isHighlight,
  isKind,
  kindOf,
  listed,
  ofKind,
  type Look,
  type Step,
  type World,
} from '../look'

/** Something that may have been forgotten, and the step that it concerns; null for the whole look. */
export interface Forgotten {
  readonly what: 'twin' | 'edge' | 'habit' | 'asked' | 'mark' | 'smudge'
  readonly stepId: string | null
  readonly text: string
}

/** Parts of a look that painters have by habit. */
const FEATURES = ['highlights', 'outlines', 'dots', 'sparkle', 'lips'] as const
type Feature = (typeof FEATURES)[number]
const FEATURE_WORDS: Readonly<Record<Feature, string>> = {
  highlights: 'white highlights',
  outlines: 'an outline',
  dots: 'dots',
  sparkle: 'glitter or gems',
  lips: 'painted lips',
}

/** Whether a step is glitter or gems, or has glitter strewn on it while it is wet or before its sheet is lifted. */
const hasSparkle = (step: Step): boolean =>
  isKind('gem', step) ||
  isKind('glitter', step) ||
  (isKind('wash', step) && step.glitter) ||
  (isKind('sheet', step) && step.passes.some(p => p.glitter))

const HAS: Readonly<Record<Feature, (step: Step) => boolean>> = {
  highlights: isHighlight,
  outlines: s => isKind('line', s) && s.of !== null,
  dots: s => isKind('dots', s),
  sparkle: hasSparkle,
  lips: s => isKind('lips', s),
}

/** What a look has of what painters do by habit. */
const featuresOf = ({ steps }: Pick<Look, 'steps'>): Feature[] => FEATURES.filter(f => steps.some(HAS[f]))

/** How many looks were looked at, and how many of them have each feature. */
export interface Habits {
  readonly looks: number
  readonly having: Readonly<Record<Feature, number>>
}

/** What the painter's looks have by habit. */
export function habitsOf(looks: readonly Pick<Look, 'steps'>[]): Habits {
  const all = looks.map(featuresOf)
  const having = Object.fromEntries(FEATURES.map(f => [f, all.filter(list => list.includes(f)).length]))
  return { looks: looks.length, having: having as Record<Feature, number> }
}

/** A habit is what at least so large a share of at least so many looks have (common practice). */
const HABIT = 0.75
const FEW_LOOKS = 4

function missingHabits(steps: readonly Step[], habits: Habits | null): Forgotten[] {
  if (!habits || habits.looks < FEW_LOOKS) return []
  const has = featuresOf({ steps: [...steps] })
  return FEATURES.flatMap((f): Forgotten[] => {
    const n = habits.having[f]
    if (has.includes(f) || n / habits.looks < HABIT) return []
    const text = `${n} of your ${habits.looks} other looks have ${FEATURE_WORDS[f]}; this one has none.`
    return [{ what: 'habit', stepId: null, text }]
  })
}

/** Nearer to the midline than this a step needs no other side, mm. */
const MIDDLE = 12
/** Two steps are one another's other side within so many mm of the mirrored place. */
const ABOUT = 18
/** A look is even when so large a share of what lies to the side has its other side. */
const EVEN = 0.6

/** Steps off the midline, each with whether something like it lies on the other side. */
function sides(steps: readonly Step[]): { step: Step; paired: boolean }[] {
  const off = steps.flatMap(step => {
    const at = isBase(step) || isKind('guide', step) ? null : kindOf(step).anchor(step)
    return at && Math.abs(at[0]) > MIDDLE ? [{ step, at }] : []
  })
  return off.map(({ step, at }) => {
    const mirrored: Point = [-at[0], at[1]]
    const other = off.some(
      o => o.step !== step && o.step.kind === step.kind && distance(o.at, mirrored) < ABOUT,
    )
    return { step, paired: step.twin.rule !== 'none' || other }
  })
}

function lopsided(steps: readonly Step[]): Forgotten[] {
  const all = sides(steps)
  const paired = all.filter(s => s.paired).length
  if (all.length < 3 || paired / all.length < EVEN) return []
  return all.flatMap(({ step, paired: has }): Forgotten[] =>
    has
      ? []
      : [{ what: 'twin', stepId: step.id, text: `"${step.label}" is on one side only; the rest is even.` }],
  )
}

/** Bases drawn by sponge whose edge no step cleans, softens or goes around. */
function rawEdges(steps: readonly Step[]): Forgotten[] {
  const seen = new Set(
    steps.flatMap(s =>
      isKind('rework', s) || (isKind('line', s) && s.of !== null) ? [...kindOf<Step>(s).follows(s)] : [],
    ),
  )
  const everywhere = ofKind('rework', steps).some(s => s.area === 'all')
  const raw = ofKind('wash', steps).filter(s => !s.brush && !s.rides && s.points.length && !seen.has(s.id))
  if (everywhere || !raw.length) return []
  const names = raw.map(s => `"${s.label}"`)
  return [
    { what: 'edge', stepId: raw[0]!.id, text: `No step cleans or outlines the edge of ${listed(names)}.` },
  ]
}

function askedFor({ sitting }: Pick<Look, 'sitting'>, steps: readonly Step[], world: World): Forgotten[] {
  if (sitting.lips !== 'yes' || !world.ground.face || steps.some(HAS.lips)) return []
  return [{ what: 'asked', stepId: null, text: 'The lips were said yes to, and no step paints them.' }]
}

/** A mark is of use to what is painted so near to it, mm. */
const NEAR_MARK = 60

/** The distance of a point from what a step covers, mm. */
function away([x, y]: Point, step: Step, world: World): number {
  return Math.min(
    ...kindOf(step)
      .boxes(step, world)
      .map(b => Math.hypot(Math.max(b.minX - x, 0, x - b.maxX), Math.max(b.minY - y, 0, y - b.maxY))),
  )
}

function idleMarks(steps: readonly Step[], world: World): Forgotten[] {
  return ofKind('guide', steps).flatMap((mark): Forgotten[] => {
    const after = steps.slice(steps.indexOf(mark) + 1).filter(s => !isKind('guide', s))
    const used = mark.points.some(p => after.some(s => away(p, s, world) <= NEAR_MARK))
    return used
      ? []
      : [{ what: 'mark', stepId: mark.id, text: `Nothing is painted by the mark "${mark.label}".` }]
  })
}

function smudges(steps: readonly Step[], world: World): Forgotten[] {
  return steps.flatMap((step, i): Forgotten[] => {
    const wet = handRestsOn(step, steps.slice(0, i), world)
    const text =
      wet &&
      `For "${step.label}" the hand would rest on "${wet.label}", still wet below it: paint from top to bottom, or with the other hand from above.`
    return text ? [{ what: 'smudge', stepId: step.id, text }] : []
  })
}

/**
 * What may have been forgotten, read from a look before somebody sits down.
 * @param steps those that are painted, in their order
 * @param habits what the painter's other looks have; null when nobody knows
 */
export function forgottenIn(
  look: Pick<Look, 'sitting'>,
  steps: readonly Step[],
  world: World,
  habits: Habits | null,
): Forgotten[] {
  const face = world.ground.kind === 'face'
  return [
    ...(face ? lopsided(steps) : []),
    ...rawEdges(steps),
    ...askedFor(look, steps, world),
    ...missingHabits(steps, habits),
    ...idleMarks(steps, world),
    ...smudges(steps, world),
  ]
}
