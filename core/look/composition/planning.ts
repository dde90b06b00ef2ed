import { Budget, shortest, tidied, type Plan, type Search, type Timed } from '../../order'
import { kindOf, type Step, type World } from '../kinds'
import { withSteps } from './beneath'
import type { Look } from '../look'
import { workOf, type LookWork, type StepLag } from './tasks'
import { enteredOf, keepsWindows, TELLS, timeline, type Timeline } from './timing'

/** What is proposed for the order of a look. */
export interface OrderPlan {
  readonly entered: Timeline
  readonly planned: Timeline
  /** No order finishes earlier than this, s. */
  readonly bound: number
  readonly proven: boolean
  /** Whether everything that goes onto wet paint comes in time in the order as it was entered. */
  readonly inTime: boolean
  /** Why it is shorter, as sentences. */
  readonly why: readonly string[]
}

/** Why a look cannot be painted in any order, and the least change that would do. */
export interface OrderConflict {
  readonly sentences: readonly string[]
  /** The steps that cannot be put in order together. */
  readonly stepIds: readonly string[]
}

/** A step that lies so much higher than the one before takes the hand back over wet paint, mm. */
const UPWARD = 10

/** Fewer changes of tool first, then from top to bottom, then as it was entered. */
const tasteOf =
  ({ steps }: LookWork) =>
  (order: readonly number[]): number[] => {
    const height = (n: number) => kindOf<Step>(steps[n]!).anchor(steps[n]!)?.[1] ?? null
    const goesUp = (n: number, i: number) => {
      const before = i ? height(order[i - 1]!) : null
      const now = height(n)
      return before !== null && now !== null && now < before - UPWARD
    }
    const tools = order.map(n => kindOf<Step>(steps[n]!).tool(steps[n]!))
    return [
      tools.filter((tool, i) => i > 0 && tool !== tools[i - 1]).length,
      order.filter(goesUp).length,
      order.reduce((sum, n, i) => sum + Math.abs(n - i), 0),
    ]
  }

const quoted = (label: string): string => `"${label}"`
/** Names one after the other, the last with "and". */
export const listed = (labels: readonly string[]): string =>
  labels.length < 2 ? labels.join('') : `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`

/** What is done in the plan while something dries for which the hands waited before. */
function whyOf(entered: Timeline, planned: Timeline, steps: readonly Step[]): string[] {
  const label = (id: string) => quoted(steps.find(s => s.id === id)?.label ?? 'a step')
  const gains = entered.waits.flatMap(wait => {
    const { on, before, seconds } = wait
    const still = planned.waits.find(w => w.before === before)?.seconds ?? 0
    if (!on || seconds - still < TELLS) return []
    const from = planned.order.indexOf(on)
    const to = planned.order.indexOf(before)
    const between = planned.order.slice(from + 1, to).map(label)
    const saved = `${Math.round(seconds - still)} s`
    return between.length
      ? [`Paint ${listed(between)} while ${label(on)} dries, before ${label(before)}: ${saved} less to wait.`]
      : [`${label(before)} waits no longer for ${label(on)}: ${saved} less.`]
  })
  const left = planned.waits.map(({ before, on, seconds }) =>
    on
      ? `Before ${label(before)} the hands still wait ${Math.round(seconds)} s for ${label(on)}: nothing else is left to do meanwhile.`
      : `Before ${label(before)} the hands still wait ${Math.round(seconds)} s.`,
  )
  return [...gains, ...left]
}

const tidyPlan = (work: LookWork, chosen: readonly boolean[], plan: Plan): Timed =>
  tidied(work.problem, chosen, plan, tasteOf(work))

/**
 * The shortest order of a look, against the order in which it was entered.
 * @param stays ids of the steps that keep their place
 */
export function planOf(
  look: Pick<Look, 'steps'>,
  world: World,
  search: Search,
  stays?: ReadonlySet<string>,
): OrderPlan | OrderConflict {
  const work = workOf(look, world, stays)
  const entered = enteredOf(work)
  const plan = shortest(work.problem, search)
  if (!plan) return conflictOf(work, search)
  const all = work.problem.tasks.map(() => true)
  // An order that saves nothing is no reason to change anything, unless something would come too late.
  const inTime = keepsWindows(work, entered)
  const better = plan.finish < entered.finish - TELLS || !inTime ? tidyPlan(work, all, plan) : entered
  const before = timeline(work, entered)
  const planned = timeline(work, better)
  return {
    entered: before,
    planned,
    bound: plan.bound,
    proven: plan.proven,
    inTime,
    why: whyOf(before, planned, work.steps),
  }
}

const WINDOW_WORDS = (lag: StepLag, label: (n: number) => string): string =>
  lag.why === 'stays'
    ? `${label(lag.from)} and ${label(lag.to)} keep their places`
    : `${label(lag.to)} goes onto ${label(lag.from)} within ${Math.round(lag.most)} s, while that is wet`

/** What cannot be met together, and what of it could be given up. */
function conflictOf({ problem, lags, steps }: LookWork, search: Search): OrderConflict {
  const soft = (l: StepLag) => l.most < Infinity || l.why === 'stays'
  const can = (kept: readonly StepLag[]) =>
    shortest({ ...problem, lags: kept }, { ...search, enough: Infinity }) !== null
  const loosened = (l: StepLag): StepLag[] => (l.why === 'stays' ? [] : [{ ...l, most: Infinity }])
  // One after another is given up; what is needed for the conflict stays.
  let kept = [...lags]
  for (const lag of lags.filter(soft)) {
    const without = kept.flatMap(l => (l === lag ? loosened(l) : [l]))
    if (!can(without)) kept = without
  }
  const label = (n: number) => quoted(steps[n]!.label)
  const core = kept.filter(soft)
  const cure = core.find(lag => can(lags.flatMap(l => (l === lag ? loosened(l) : [l]))))
  const sentences = [
    `No order meets all of this: ${listed(core.map(l => WINDOW_WORDS(l, label)))}.`,
    cure
      ? `It can be done if ${cure.why === 'stays' ? `${label(cure.from)} or ${label(cure.to)} may change its place` : `${label(cure.to)} may go on once ${label(cure.from)} is dry`}.`
      : 'Let more than one of these go.',
  ]
  return { sentences, stepIds: [...new Set(core.flatMap(l => [steps[l.from]!.id, steps[l.to]!.id]))] }
}

/** What a look is for some seconds: what goes, what that saves, and the order of the rest. */
export interface Shortened {
  readonly budget: number
  /** Ids of the optional steps that are left out. */
  readonly without: readonly string[]
  readonly worth: number
  readonly timeline: Timeline
  readonly proven: boolean
}

/**
 * How a look can be shortened: worth against time, and what is left for a given time. Without some of its steps a
 * look takes as long as if they had never been in it.
 */
export class Shortening {
  private readonly work: LookWork
  private readonly budget: Budget

  constructor(
    private readonly look: Pick<Look, 'steps'>,
    private readonly world: World,
    private readonly search: Search,
  ) {
    this.work = workOf(look, world)
    this.budget = new Budget(this.work.problem, this.work.lagsFor)
  }

  /** The worthiest that can be done within some seconds; null when not even what must be done can. */
  within(seconds: number): Shortened | null {
    const found = this.budget.within(seconds, this.search)
    return found && this.told(seconds, found)
  }
  /** What must be done, as it was entered and in its shortest order; null when it cannot be done. */
  least(): OrderPlan | null {
    const plan = this.planOf(this.budget.must)
    return 'planned' in plan ? plan : null
  }
  /** Ever shorter versions, the whole look first. */
  curve(points: number): Shortened[] {
    return this.budget.curve(points, this.search).map(c => this.told(c.plan.finish, c))
  }

  private planOf(chosen: readonly boolean[]): OrderPlan | OrderConflict {
    const off = new Set([...(this.world.off ?? []), ...this.without(chosen)])
    return planOf(this.look, withSteps(this.world, this.look.steps, off), this.search)
  }

  private without(chosen: readonly boolean[]): string[] {
    return this.work.steps.flatMap((s, n) => (chosen[n] ? [] : [s.id]))
  }

  private told(
    budget: number,
    { chosen, worth, plan }: NonNullable<ReturnType<Budget['within']>>,
  ): Shortened {
    const own = this.planOf(chosen)
    return {
      budget,
      worth,
      without: this.without(chosen),
      timeline: 'planned' in own ? own.planned : timeline(this.work, plan),
      proven: plan.proven && this.budget.complete,
    }
  }
}
