import { preemptiveBound } from './bound'
import { Distances } from './distances'
import { CLOSE, Network, timed, type Lag, type Problem, type Timed } from './problem'

/** An order of tasks, with what is proven of it. */
export interface Plan extends Timed {
  /** No order of these tasks finishes earlier than this, s. */
  readonly bound: number
  /** Whether it is proven to be the shortest. */
  readonly proven: boolean
}

/** How long may be looked, and for what. */
export interface Search {
  /** Milliseconds after which the best found counts. */
  readonly limitMs: number
  /** The first order that finishes by then is enough, s; the shortest is looked for when left out. */
  readonly enough?: number
  /** What the time is, ms: the core has no clock of its own. */
  readonly clock: () => number
}

const ALL = (problem: Problem): boolean[] => problem.tasks.map(() => true)

/** As many states of one set of tasks done are remembered, and as many sets. */
const STATES = 6
const SETS = 120_000
/** The clock is asked once in so many steps. */
const ASK = 128

/**
 * The shortest order of some tasks for one pair of hands, by branch and bound: tasks are put one after another, and
 * a beginning is given up when what is left cannot finish before the best that was found (preemptive bound), or when
 * the same tasks were done before in an order that leaves nothing later.
 * @param chosen which tasks are done; all when left out
 * @returns null when no order meets all lags
 */
export function shortest(
  problem: Problem,
  search: Search,
  chosen: readonly boolean[] = ALL(problem),
): Plan | null {
  const network = new Network(problem, chosen)
  if (!network.sorted) return null
  if (network.size === 0) return { order: [], starts: [], finish: 0, bound: 0, proven: true }
  const windows = problem.lags.some(l => l.most < Infinity && chosen[l.from] && chosen[l.to])
  const distances = windows ? Distances.of(network) : null
  return windows && !distances ? null : new Branching(network, search, distances).solve()
}

/** Where a beginning of an order leaves the hands. */
interface Begun {
  readonly now: number
  readonly ends: Float64Array
}

class Branching {
  private readonly seconds: Float64Array
  private readonly tails: Float64Array
  private readonly heads: Float64Array
  private readonly all: readonly number[]
  private readonly opensWindow: readonly boolean[]
  private best: Timed | null = null
  private readonly met = new Map<string, Float64Array[]>()
  private readonly until: number
  private readonly clock: () => number
  private steps = 0
  private late = false
  private readonly root: number
  /** What windows imply before anything is put in order; null where there are none. */
  private readonly windows: Distances | null

  constructor(
    private readonly network: Network,
    private readonly search: Search,
    windows: Distances | null,
  ) {
    this.windows = windows
    const { problem, chosen } = network
    this.seconds = Float64Array.from(problem.tasks, t => t.seconds)
    this.all = problem.tasks.flatMap((_, n) => (chosen[n] ? [n] : []))
    this.tails = network.tails()
    this.heads = network.heads()
    if (windows)
      for (const n of this.all) {
        this.heads[n] = windows.head(n)
        this.tails[n] = windows.tail(n, this.all)
      }
    this.opensWindow = network.after.map(lags => lags.some(l => l.most < Infinity))
    this.clock = search.clock
    this.until = this.clock() + search.limitMs
    this.root = preemptiveBound(this.all, this.heads, this.seconds, this.tails)
  }

  solve(): Plan | null {
    for (const rule of RULES) this.consider(this.greedy(rule))
    // What cannot be in time need not be looked for any longer.
    const hopeless = this.root > (this.search.enough ?? Infinity) + CLOSE
    const done = new Uint8Array(this.seconds.length)
    const begun = { now: 0, ends: new Float64Array(this.seconds.length) }
    if (!hopeless && !this.isEnough()) this.branch([], done, begun, this.windows)
    if (!this.best) return null
    const proven = !hopeless && !this.late && !this.stoppedEarly()
    const bound = proven ? this.best.finish : this.root
    return { ...this.best, bound, proven: proven || this.best.finish <= this.root + CLOSE }
  }

  private consider(found: Timed | null): void {
    if (found && (!this.best || found.finish < this.best.finish - CLOSE)) this.best = found
  }
  /** Whether what was found need not be bettered. */
  private isEnough(): boolean {
    const finish = this.best?.finish ?? Infinity
    return finish <= this.root + CLOSE || finish <= (this.search.enough ?? -Infinity) + CLOSE
  }
  private stoppedEarly(): boolean {
    const { enough } = this.search
    return enough !== undefined && this.best !== null && this.best.finish > this.root + CLOSE
  }
  private isOver(): boolean {
    if (++this.steps % ASK === 0 && this.clock() > this.until) this.late = true
    return this.late || this.isEnough()
  }

  /** The tasks that can come next: all that must come before them is done. */
  private ready(done: Uint8Array): number[] {
    const { before } = this.network
    return this.all.filter(n => !done[n] && before[n]!.every(l => done[l.from]))
  }
  private startOf(n: number, { now, ends }: Begun): number {
    let at = now
    for (const { from, least } of this.network.before[n]!) at = Math.max(at, ends[from]! + least)
    return at
  }

  /** An order by a rule of thumb: of those that can come next always the first by the rule. */
  private greedy(rule: Rule): Timed | null {
    const done = new Uint8Array(this.seconds.length)
    let begun: Begun = { now: 0, ends: new Float64Array(this.seconds.length) }
    const order: number[] = []
    while (order.length < this.all.length) {
      const ready = this.ready(done)
      const score = (n: number) => rule(n, this.startOf(n, begun), this.tails, this.isDue(n, done))
      const next = ready.reduce((a, b) => (less(score(b), score(a)) ? b : a))
      begun = this.with(begun, next)
      done[next] = 1
      order.push(next)
    }
    return timed(this.network, order)
  }
  /** Whether a task has only so long after one that is done. */
  private isDue(n: number, done: Uint8Array): boolean {
    return this.network.before[n]!.some(l => l.most < Infinity && done[l.from])
  }
  private with({ ends, now }: Begun, n: number): Begun {
    const start = this.startOf(n, { ends, now })
    const next = ends.slice()
    next[n] = start + this.seconds[n]!
    return { now: next[n]!, ends: next }
  }

  private branch(order: number[], done: Uint8Array, begun: Begun, windows: Distances | null): void {
    if (order.length === this.all.length) return this.consider(timed(this.network, [...order]))
    if (this.isOver() || this.cannotBeat(done, begun, windows) || this.wasMet(done, begun)) return
    const ready = this.ready(done).map(n => ({ n, start: this.startOf(n, begun) }))
    ready.sort((a, b) => a.start - b.start || this.tails[b.n]! - this.tails[a.n]!)
    // What can be done and over before another could start comes before that one.
    const soonest = Math.min(
      ...ready.filter(r => !this.opensWindow[r.n]).map(r => r.start + this.seconds[r.n]!),
      Infinity,
    )
    for (const { n, start } of ready) {
      if (start >= soonest - CLOSE && start > begun.now + CLOSE) continue
      order.push(n)
      done[n] = 1
      const implied = windows && this.implied(windows, n, done)
      const next = windows && !implied ? null : this.after(order, n, begun)
      if (next) this.branch(order, done, next, implied)
      done[n] = 0
      order.pop()
      if (this.late || this.isEnough()) return
    }
  }

  /** What windows imply once a task comes before all that is left; null when they cannot be met then. */
  private implied(windows: Distances, n: number, done: Uint8Array): Distances | null {
    const left = this.all.filter(m => m === n || !done[m])
    const next = windows.copy()
    const finish = (this.best?.finish ?? Infinity) - CLOSE
    return next.endBefore(finish, left) && next.put(n, left) ? next : null
  }

  /** Where the hands are once a task was put at the end of an order; null when it cannot be there. */
  private after(order: readonly number[], n: number, begun: Begun): Begun | null {
    const next = this.with(begun, n)
    const start = next.now - this.seconds[n]!
    const tooLate = (l: Lag) => start > next.ends[l.from]! + l.most + CLOSE
    if (!this.network.before[n]!.some(tooLate)) return next
    const found = timed(this.network, order)
    if (!found) return null
    order.forEach((m, i) => {
      next.ends[m] = found.starts[i]! + this.seconds[m]!
    })
    return { now: found.finish, ends: next.ends }
  }

  /** Whether what is left cannot finish before the best that was found. */
  private cannotBeat(done: Uint8Array, begun: Begun, windows: Distances | null): boolean {
    if (!this.best) return false
    const { sorted, before } = this.network
    const heads = this.heads.slice()
    const tails = windows ? this.tails.slice() : this.tails
    const left: number[] = []
    let sum = 0
    for (const n of sorted!) {
      if (done[n]) continue
      heads[n] = Math.max(heads[n]!, this.startOf(n, begun))
      for (const l of before[n]!)
        if (!done[l.from]) heads[n] = Math.max(heads[n]!, heads[l.from]! + this.seconds[l.from]! + l.least)
      if (windows) heads[n] = Math.max(heads[n]!, windows.head(n))
      left.push(n)
      sum += this.seconds[n]!
    }
    const most = this.best.finish - CLOSE
    if (begun.now + sum >= most) return true
    if (windows) for (const n of left) tails[n] = Math.max(tails[n]!, windows.tail(n, left))
    return preemptiveBound(left, heads, this.seconds, tails) >= most
  }

  /** Whether the same tasks were done before so that nothing that is left would start later. */
  private wasMet(done: Uint8Array, begun: Begun): boolean {
    // With a window open it also matters when it was opened.
    if (this.all.some(n => done[n] && this.opensWindow[n] && this.isOpen(n, done))) return false
    const key = String.fromCharCode(...packed(done))
    const state = Float64Array.from([
      begun.now,
      ...this.all.flatMap(n => (done[n] ? [] : [this.startOf(n, begun)])),
    ])
    const known = this.met.get(key)
    if (known?.some(k => k.every((v, i) => v <= state[i]! + CLOSE))) return true
    if (known) {
      if (known.length < STATES) known.push(state)
    } else if (this.met.size < SETS) this.met.set(key, [state])
    return false
  }
  private isOpen(n: number, done: Uint8Array): boolean {
    return this.network.after[n]!.some(l => l.most < Infinity && !done[l.to])
  }
}

/** Which tasks are done, fifteen to a letter. */
function packed(done: Uint8Array): number[] {
  const letters: number[] = []
  for (let i = 0; i < done.length; i += 15) {
    let letter = 0
    for (let k = 0; k < 15 && i + k < done.length; k++) letter |= done[i + k]! << k
    letters.push(letter)
  }
  return letters
}

/** Ranks a task that can come next; the least is taken. */
type Rule = (n: number, start: number, tails: Float64Array, due: boolean) => readonly number[]
const RULES: readonly Rule[] = [
  (n, start, tails, due) => [due ? 0 : 1, start, -tails[n]!],
  (n, start, tails, due) => [due ? 0 : 1, -tails[n]!, start],
  (n, start, tails, due) => [due ? 0 : 1, Math.round(start / 10), -tails[n]!],
  (n, _start, _tails, due) => [due ? 0 : 1, n],
]
const less = (a: readonly number[], b: readonly number[]): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! < b[i]!
  return false
}
