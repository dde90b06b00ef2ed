import { CLOSE, type Lag, type Problem } from './problem'
import { shortest, type Plan, type Search } from './schedule'

/** Which tasks are done, what the optional ones among them are worth together, and their shortest order. */
export interface Choice {
  readonly chosen: readonly boolean[]
  readonly worth: number
  readonly plan: Plan
}

/** Optional tasks that are done together or not at all. */
interface Unit {
  readonly tasks: readonly number[]
  readonly worth: number
  readonly seconds: number
}

/** As many searches' time may be spent on one budget: then the best found counts. */
const LONGER = 8

/** More units than these are not tried in all combinations: the least worthy go first then. */
const MOST_UNITS = 14

/** Tasks that cannot be left out: without worth of their own, or needed or paired by such a one. */
function musts({ tasks, pairs, needs }: Problem): boolean[] {
  const must = tasks.map(t => t.worth === null)
  for (let changed = true; changed;) {
    changed = false
    const both = [...pairs.flatMap(([a, b]) => [[a, b] as const, [b, a] as const]), ...needs]
    for (const [one, other] of both)
      if (must[one] && !must[other]) {
        must[other] = true
        changed = true
      }
  }
  return must
}

function unitsOf(problem: Problem, must: readonly boolean[]): Unit[] {
  const { tasks, pairs } = problem
  const unit = tasks.map((_, n) => n)
  const rootOf = (n: number): number => (unit[n] === n ? n : rootOf(unit[n]!))
  for (const [a, b] of pairs) unit[rootOf(a)] = rootOf(b)
  const groups = new Map<number, number[]>()
  tasks.forEach((_, n) => {
    if (!must[n]) groups.set(rootOf(n), [...(groups.get(rootOf(n)) ?? []), n])
  })
  return [...groups.values()].map(list => ({
    tasks: list,
    worth: list.reduce((sum, n) => sum + (tasks[n]!.worth ?? 0), 0),
    seconds: list.reduce((sum, n) => sum + tasks[n]!.seconds, 0),
  }))
}

/** Combinations of units that make sense, the worthiest first, of those the ones with least to do. */
function combinations(problem: Problem, must: readonly boolean[], units: readonly Unit[]) {
  const list: { chosen: boolean[]; worth: number; seconds: number }[] = []
  for (let mask = 0; mask < 2 ** units.length; mask++) {
    const chosen = [...must]
    let worth = 0
    let seconds = 0
    units.forEach((u, i) => {
      if (!((mask >> i) & 1)) return
      for (const n of u.tasks) chosen[n] = true
      worth += u.worth
      seconds += u.seconds
    })
    if (problem.needs.every(([guest, host]) => !chosen[guest] || chosen[host]))
      list.push({ chosen, worth, seconds })
  }
  return list.sort((a, b) => b.worth - a.worth || a.seconds - b.seconds)
}

/** What there is to choose from, worked out once for all budgets. */
export class Budget {
  private readonly all: ReturnType<typeof combinations>
  private readonly seconds: number
  private readonly tried: boolean
  private late = false

  /** Which tasks cannot be left out. */
  readonly must: readonly boolean[]

  /**
   * @param lagsFor the lags that hold when only some tasks are done, where that makes a difference
   */
  constructor(
    private readonly problem: Problem,
    private readonly lagsFor: (chosen: readonly boolean[]) => readonly Lag[] = () => problem.lags,
  ) {
    const must = (this.must = musts(problem))
    const units = unitsOf(problem, must).sort((a, b) => b.worth - a.worth)
    this.tried = units.length <= MOST_UNITS
    this.all = combinations(problem, must, units.slice(0, MOST_UNITS))
    this.seconds = problem.tasks.reduce((sum, t, n) => sum + (must[n] ? t.seconds : 0), 0)
  }

  /** Whether every combination was tried for the last budget. */
  get complete(): boolean {
    return this.tried && !this.late
  }

  /**
   * The worthiest combination of optional tasks that can be done within some seconds, in its shortest order; of
   * equal worth the shortest.
   * @returns null when not even what must be done can be in time
   */
  within(budget: number, search: Search): Choice | null {
    let best: Choice | null = null
    const until = search.clock() + LONGER * search.limitMs
    this.late = false
    for (const { chosen, worth, seconds } of this.all) {
      if (best && worth < best.worth - CLOSE) break
      if (this.seconds + seconds > budget + CLOSE) continue
      // Out of time what must be done alone is tried still, so that nothing is called impossible that is not.
      this.late ||= search.clock() > until
      if (this.late && (best || worth > 0)) continue
      const work = { ...this.problem, lags: this.lagsFor(chosen) }
      const inTime = shortest(work, { ...search, enough: budget }, chosen)
      if (!inTime || inTime.finish > budget + CLOSE) continue
      const plan = shortest(work, search, chosen) ?? inTime
      if (!best || plan.finish < best.plan.finish - CLOSE) best = { chosen, worth, plan }
    }
    return best
  }

  /** The shortest that there is: only what must be done; null when it cannot be. */
  least(search: Search): Plan | null {
    return shortest({ ...this.problem, lags: this.lagsFor(this.must) }, search, this.must)
  }

  /** Everything, in its shortest order; null when it cannot be. */
  whole(search: Search): Choice | null {
    const { tasks } = this.problem
    const plan = shortest(this.problem, search)
    const worth = tasks.reduce((sum, t) => sum + (t.worth ?? 0), 0)
    return plan && { chosen: tasks.map(() => true), worth, plan }
  }

  /** Worth against time: what can be had for ever less time, the whole first. */
  curve(points: number, search: Search): Choice[] {
    const list: Choice[] = []
    const whole = this.whole(search)
    const least = this.least(search)
    if (!whole || !least) return list
    const step = (whole.plan.finish - least.finish) / points
    for (let next: Choice | null = whole; next;) {
      list.push(next)
      next =
        next.plan.finish - Math.max(step, 1) < least.finish
          ? null
          : this.within(next.plan.finish - Math.max(step, 1), search)
    }
    return list
  }
}
