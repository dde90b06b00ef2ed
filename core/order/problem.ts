/** A piece of work for one pair of hands. */
export interface Task {
  /** How long the hands need for it, s. */
  readonly seconds: number
  /** What it is worth when it may be left out; null when it must be done. */
  readonly worth: number | null
}

/**
 * One task after another: the later one starts at least so long after the earlier one's end, and at most so long
 * (Infinity for as late as one likes), s.
 */
export interface Lag {
  readonly from: number
  readonly to: number
  readonly least: number
  readonly most: number
}

/** Work to be put in order: tasks by their numbers, what comes after what, and what is done only together. */
export interface Problem {
  readonly tasks: readonly Task[]
  readonly lags: readonly Lag[]
  /** Tasks of which both are done or neither. */
  readonly pairs: readonly (readonly [number, number])[]
  /** Tasks of which the first makes no sense without the second. */
  readonly needs: readonly (readonly [number, number])[]
}

/** Some of the tasks in an order, with the second at which each starts, as early as can be in that order. */
export interface Timed {
  readonly order: readonly number[]
  readonly starts: readonly number[]
  /** When the last of them is done, s. */
  readonly finish: number
}

/** Times may be off by this much, s: sums of tenths are not exact. */
export const CLOSE = 1e-6

/** What is known of the tasks that are to be done: lags by the task they lead to and from. */
export class Network {
  readonly before: readonly (readonly Lag[])[]
  readonly after: readonly (readonly Lag[])[]
  /** Tasks in an order in which every one comes after those before it; null when they go round in a circle. */
  readonly sorted: readonly number[] | null

  /** @param chosen which tasks are done */
  constructor(
    readonly problem: Problem,
    readonly chosen: readonly boolean[],
  ) {
    const lags = problem.lags.filter(l => chosen[l.from] && chosen[l.to])
    this.before = problem.tasks.map((_, n) => lags.filter(l => l.to === n))
    this.after = problem.tasks.map((_, n) => lags.filter(l => l.from === n))
    this.sorted = this.sort()
  }

  get size(): number {
    return this.chosen.filter(Boolean).length
  }

  private sort(): number[] | null {
    const open = this.before.map(l => l.length)
    const ready = open.flatMap((n, i) => (n === 0 && this.chosen[i] ? [i] : []))
    const list: number[] = []
    for (let n = ready.shift(); n !== undefined; n = ready.shift()) {
      list.push(n)
      for (const { to } of this.after[n]!) if (--open[to]! === 0) ready.push(to)
    }
    return list.length === this.size ? list : null
  }

  /** The earliest second at which each task can start, however the hands are busy. */
  heads(): Float64Array {
    const heads = new Float64Array(this.problem.tasks.length)
    for (const n of this.sorted ?? [])
      for (const { to, least } of this.after[n]!)
        heads[to] = Math.max(heads[to]!, heads[n]! + this.problem.tasks[n]!.seconds + least)
    return heads
  }

  /** Seconds from the start of each task to the end of all that must follow it. */
  tails(): Float64Array {
    const tails = Float64Array.from(this.problem.tasks, t => t.seconds)
    for (const n of [...(this.sorted ?? [])].reverse())
      for (const { to, least } of this.after[n]!)
        tails[n] = Math.max(tails[n]!, this.problem.tasks[n]!.seconds + least + tails[to]!)
    return tails
  }
}

/** As often as starts are pushed on before an order counts as one that cannot be. */
const PUSHES = 400

/**
 * The earliest starts of some tasks in an order. What must not start too long after another makes that one wait
 * until both can be. Null when the order cannot be.
 */
export function timed({ problem, before }: Network, order: readonly number[]): Timed | null {
  const { tasks } = problem
  const start = new Float64Array(tasks.length)
  const least = new Float64Array(tasks.length)
  const placed = new Uint8Array(tasks.length)
  for (let push = 0; push < PUSHES; push++) {
    placed.fill(0)
    let now = 0
    let late: Lag | null = null
    for (const n of order) {
      let at = Math.max(now, least[n]!)
      for (const lag of before[n]!) {
        if (!placed[lag.from]) return null
        at = Math.max(at, start[lag.from]! + tasks[lag.from]!.seconds + lag.least)
      }
      start[n] = at
      placed[n] = 1
      now = at + tasks[n]!.seconds
      for (const lag of before[n]!) {
        const end = start[lag.from]! + tasks[lag.from]!.seconds
        if (at > end + lag.most + CLOSE) late = lag
      }
      if (late) break
    }
    if (!late) return { order, starts: order.map(n => start[n]!), finish: now }
    // The earlier one waits, so that it is not over too soon.
    const wanted = start[late.to]! - late.most - tasks[late.from]!.seconds
    if (wanted <= least[late.from]! + CLOSE) return null
    least[late.from] = wanted
  }
  return null
}
