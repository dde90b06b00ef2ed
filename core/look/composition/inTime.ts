import { plainZone, zoneAt } from '../../skin'
import { drySeconds, kindOf, laysNothing, SHUT_AFTER, type Step, type World } from '../kinds'
import type { Look } from '../look'
import { workOf, type StepLag } from './tasks'
import type { Timeline } from './timing'

/** A step in time: from one second of the sitting to another. */
export interface Span {
  readonly stepId: string
  readonly from: number
  readonly to: number
}

/** A film that dries: wet until one second, tacky until another. */
interface DryingSpan extends Span {
  readonly wetUntil: number
}

/** A look in time: what the hands do, what dries where, what is wet enough for something, when eyes are shut. */
export interface TimeRows {
  readonly hands: readonly Span[]
  readonly zones: readonly { readonly words: string; readonly films: readonly DryingSpan[] }[]
  /** How long something waits for a step, for which it must be wet. */
  readonly windows: readonly Span[]
  readonly eyes: readonly Span[]
}

/** A rule of the order: what must come before what, with the reason as a sentence. */
export interface OrderRule {
  readonly before: string
  readonly after: string
  readonly because: string
}

/** The places of a step in words: where each side of it lies. */
function placesOf(step: Step, world: World): string[] {
  const { ground } = world
  const words = kindOf(step)
    .boxes(step, world)
    .map(b => {
      const zone = zoneAt(ground, [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2])
      return zone ? plainZone(zone) : ground.words
    })
  return [...new Set(words)]
}

/** As many places have a row of their own; what dries elsewhere shares one. */
const MOST_PLACES = 8

/** A look in time, by when its steps begin and end. */
export function timeRows(
  look: Pick<Look, 'steps'>,
  world: World,
  { order, starts, ends }: Timeline,
): TimeRows {
  const found = new Map(look.steps.map(s => [s.id, s]))
  const hands = order.map((stepId, i): Span => ({ stepId, from: starts[i]!, to: ends[i]! }))
  const zones = new Map<string, DryingSpan[]>()
  for (const span of hands) {
    const step = found.get(span.stepId)
    const dries = step && !laysNothing(step) ? drySeconds(step, world) : 0
    if (!step || dries <= 0) continue
    for (const words of placesOf(step, world)) {
      const row = zones.has(words) || zones.size < MOST_PLACES ? words : 'elsewhere'
      const film = { stepId: step.id, from: span.to, wetUntil: span.to + dries / 2, to: span.to + dries }
      zones.set(row, [...(zones.get(row) ?? []), film])
    }
  }
  const { lags, steps } = workOf(look, world)
  const ending = new Map(hands.map(s => [s.stepId, s.to]))
  return {
    hands,
    zones: [...zones].map(([words, films]) => ({ words, films })),
    windows: lags.flatMap(({ from, to, most }): Span[] => {
      const end = ending.get(steps[from]!.id)
      return most < Infinity && end !== undefined
        ? [{ stepId: steps[to]!.id, from: end, to: end + most }]
        : []
    }),
    eyes: hands.filter(s => found.get(s.stepId)?.eyes === 'shut').map(s => ({ ...s, to: s.to + SHUT_AFTER })),
  }
}

const BECAUSE: Readonly<Record<StepLag['why'], string>> = {
  'lies over': 'lies over',
  'must be dry': 'lies on, and waits for,',
  'goes on wet': 'goes onto the wet paint of',
  'follows': 'belongs to',
  'marked for': 'is painted by the mark',
  'same load': 'goes on with what is left of',
  'stays': 'keeps its place behind',
}

/** What must come before what in a look. */
export function orderRules(look: Pick<Look, 'steps'>, world: World): OrderRule[] {
  const { lags, steps } = workOf(look, world)
  return lags.map(({ from, to, why }) => {
    const [before, after] = [steps[from]!, steps[to]!]
    const because = `"${after.label}" ${BECAUSE[why]} "${before.label}": it comes after it.`
    return { before: before.id, after: after.id, because }
  })
}

/** What speaks against an order, as a sentence; null when nothing does. */
export function againstOrder(order: readonly string[], rules: readonly OrderRule[]): string | null {
  const at = new Map(order.map((id, i) => [id, i]))
  const broken = rules.find(({ before, after }) => (at.get(before) ?? -1) > (at.get(after) ?? Infinity))
  return broken?.because ?? null
}
