import { leadOf, Network, timed, type Lag, type Problem, type Task } from '../../order'
import {
  drySeconds,
  effortsOf,
  isKind,
  isSparkle,
  kindOf,
  laysNothing,
  needsWet,
  ofKind,
  type Step,
  type World,
} from '../kinds'
import type { Look } from '../look'
import type { Ring } from '../../geometry'
import { Cells } from './cells'
import { toolWith } from './carried'
import { usualWorth } from './worth'

/** Why one step comes after another. */
type Why = 'lies over' | 'must be dry' | 'goes on wet' | 'follows' | 'marked for' | 'same load' | 'stays'

/** One step after another, with the reason. */
export interface StepLag extends Lag {
  readonly why: Why
  /** Seconds until the first is dry, where the second waits for it; it may be loaded for meanwhile. */
  readonly dry?: number
}

/** A look as work to be put in order; tasks stand for the steps that are painted. */
export interface LookWork {
  readonly problem: Problem
  readonly lags: readonly StepLag[]
  readonly steps: readonly Step[]
  /** Seconds of each step before anything touches the skin. */
  readonly leads: readonly number[]
  /** Whether a step touches what an earlier one has painted, by their numbers. */
  readonly touches: (above: number, below: number) => boolean
  /** The lags when only some of the steps are painted: what is left out holds nobody up. */
  readonly lagsFor: (chosen: readonly boolean[]) => readonly StepLag[]
}

/**
 * What the outlines of a step are made from, to be compared by value or identity: a worker is handed every look
 * anew, with the same steps in it.
 */
function outlinedFrom(step: Step, world: World): unknown[] {
  const kind = kindOf(step)
  // Hosts are steps of the look: rooms below this one only know what all steps have in common.
  const hosts = kind.follows(step).flatMap(id => world.host?.(id, step.id)?.madeFrom(world) ?? []) as unknown
  return [step, ...(hosts as readonly Step[])].flatMap(s => [
    JSON.stringify(s),
    world.off?.has(s.id) ?? false,
    ...kindOf(s).sheets(s).map(world.stencil),
  ])
}

function cellsIn(kept: string, step: Step, world: World, rings: () => readonly Ring[]): Cells {
  const make = () => new Cells(rings())
  return world.memo
    ? world.memo.recall(`${kept} ${step.id}`, [world.ground, ...outlinedFrom(step, world)], make)
    : make()
}

/** What a step paints, for telling what lies above what; null where it is everywhere. */
const paintedCells = (step: Step, world: World): Cells | null =>
  isKind('rework', step) && step.area === 'all'
    ? null
    : cellsIn('painted', step, world, () => kindOf(step).silhouette(step, world))

/** What a step touches: a stencil is pressed down under all of its outline, not only under its openings. */
const touchedCells = (step: Step, world: World): Cells | null =>
  isKind('sheet', step)
    ? cellsIn('touched', step, world, () =>
        kindOf(step)
          .outlines(step, world)
          .map(o => o.ring),
      )
    : paintedCells(step, world)

/** Whether a step touches what another has painted before it. */
function touching(steps: readonly Step[], world: World): LookWork['touches'] {
  const painted = steps.map(s => paintedCells(s, world))
  const touched = steps.map((s, i) => (isKind('sheet', s) ? touchedCells(s, world) : painted[i]!))
  return (above, below) => {
    const [a, b] = [touched[above]!, painted[below]!]
    return !a || !b || a.meets(b)
  }
}

/** Whether what lies beneath a step must be dry before it. */
const needsDry = (step: Step): boolean => kindOf(step).waits(step)

const after = (from: number, to: number, why: Why, least = 0, most = Infinity): StepLag => ({
  from,
  to,
  least,
  most,
  why,
})

/** What lies over what, and how long it waits for it to dry. */
function stacking(
  { steps, leads, touches }: Pick<LookWork, 'steps' | 'leads' | 'touches'>,
  world: World,
): StepLag[] {
  return steps.flatMap((above, to) =>
    steps.slice(0, to).flatMap((below, from): StepLag[] => {
      if (isKind('guide', above) || isKind('guide', below) || !touches(to, from)) return []
      const dry = needsDry(above) && !laysNothing(below) ? drySeconds(below, world) : 0
      if (dry <= 0) return [after(from, to, 'lies over')]
      return [{ ...after(from, to, 'must be dry', Math.max(0, dry - leads[to]!)), dry }]
    }),
  )
}

/** Share of its drying time for which a film is wet enough for glitter: see `stateAfter`. */
const WET_SHARE = 0.5

/** What belongs to another step: on its wet paint, around it, registered on it. */
function belonging(steps: readonly Step[], world: World): StepLag[] {
  const at = (id: string) => steps.findIndex(s => s.id === id)
  return steps.flatMap((step, to) => {
    const kind = kindOf(step)
    const wetOn = kind.boundTo(step)
    const hosts = [
      ...kind.follows(step),
      ...(isKind('sheet', step) && step.register ? [step.register.on] : []),
    ]
    const loose = isKind('glitter', step) && needsWet(step)
    const window = (from: number) => (loose ? WET_SHARE * drySeconds(steps[from]!, world) : Infinity)
    return [
      ...(wetOn !== null && at(wetOn) >= 0 && at(wetOn) < to
        ? [after(at(wetOn), to, 'goes on wet', 0, window(at(wetOn)))]
        : []),
      ...hosts.flatMap(id => (at(id) >= 0 && at(id) < to ? [after(at(id), to, 'follows')] : [])),
    ]
  })
}

/** A mark comes before the step that it was made for, and is there until then. */
const marks = (steps: readonly Step[]): StepLag[] =>
  steps.flatMap((step, n) => {
    if (!isKind('guide', step)) return []
    const next = steps.findIndex((s, i) => i > n && !isKind('guide', s))
    return next < 0 ? [] : [after(n, next, 'marked for')]
  })

/** Sheets that are dabbed with one tool and colour keep their order where one goes on with what another left. */
function sameLoads(steps: readonly Step[]): StepLag[] {
  const last = new Map<string, number>()
  const lags: StepLag[] = []
  for (const step of ofKind('sheet', steps)) {
    const to = steps.indexOf(step)
    for (const pass of step.passes) {
      const key = toolWith(pass)
      const from = last.get(key)
      if (pass.carries && from !== undefined && from !== to) lags.push(after(from, to, 'same load'))
      last.set(key, to)
    }
  }
  return lags
}

/** A step that stays keeps everything before it before it, and everything behind it behind it. */
const staying = (steps: readonly Step[], kept: ReadonlySet<string>): StepLag[] =>
  steps.flatMap((step, n) =>
    kept.has(step.id)
      ? steps.flatMap((_, i) => (i === n ? [] : i < n ? [after(i, n, 'stays')] : [after(n, i, 'stays')]))
      : [],
  )

/**
 * Lets nothing be painted onto what is wetter than it was in the order as it was entered: there the hands came later,
 * and what lies beneath was drier. What is strewn on wet paint or works it over is not held up.
 */
function noWetter(
  lags: readonly StepLag[],
  tasks: readonly Task[],
  steps: readonly Step[],
  world: World,
  chosen: readonly boolean[],
): StepLag[] {
  // As it was entered, whatever windows that order may miss.
  const problem = { tasks, lags: lags.map(l => ({ ...l, most: Infinity })), pairs: [], needs: [] }
  const order = steps.flatMap((_, n) => (chosen[n] ? [n] : []))
  const starts = new Map(timed(new Network(problem, chosen), order)?.starts.map((s, i) => [order[i]!, s]))
  return lags.map(lag => {
    const [below, above] = [steps[lag.from]!, steps[lag.to]!]
    const [from, to] = [starts.get(lag.from), starts.get(lag.to)]
    if (from === undefined || to === undefined || lag.why !== 'lies over') return lag
    if (laysNothing(below) || laysNothing(above) || isSparkle(above)) return lag
    const passed = to - from - tasks[lag.from]!.seconds
    return { ...lag, least: Math.min(drySeconds(below, world), Math.max(0, passed)) }
  })
}

/**
 * A look as work for one pair of hands: how long each step takes, what must come after what and how long after,
 * read off from where the prints lie. Steps that touch nowhere may change places.
 * @param stays ids of the steps that keep their place
 */
export function workOf(
  look: Pick<Look, 'steps'>,
  world: World,
  stays: ReadonlySet<string> = new Set(),
): LookWork {
  const steps = look.steps.filter(s => !world.off?.has(s.id))
  const quick: World = { ...world, flat: true, quick: true }
  const efforts = effortsOf(steps, world)
  const tasks = steps.map((step): Task => ({
    seconds: efforts.get(step.id)!.seconds,
    worth: step.optional ? usualWorth(step) : null,
  }))
  const leads = steps.map(s => leadOf(efforts.get(s.id)!.tasks))
  const touches = touching(steps, quick)
  const entered = [
    ...stacking({ steps, leads, touches }, quick),
    ...belonging(steps, world),
    ...marks(steps),
    ...sameLoads(steps),
    ...staying(steps, stays),
  ]
  const lagsFor = (chosen: readonly boolean[]) => noWetter(entered, tasks, steps, world, chosen)
  const lags = lagsFor(steps.map(() => true))
  const needs = lags.flatMap(({ from, to, why }) =>
    why === 'goes on wet' || why === 'follows' ? [[to, from] as const] : [],
  )
  return { problem: { tasks, lags, pairs: [], needs }, lags, steps, leads, touches, lagsFor }
}
