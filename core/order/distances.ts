import { CLOSE, type Network } from './problem'

/**
 * How much later than each other tasks start at least, as longest paths: what windows and single hands together
 * imply. Tasks of which one can no longer come first are put in order at once (immediate selection; Brucker, Hilbig
 * and Hurink 1999, Discrete Applied Mathematics 94:77). Number 0 is the beginning, task n is number n + 1.
 */
export class Distances {
  private readonly size: number
  private readonly least: Float64Array

  private constructor(
    private readonly seconds: Float64Array,
    size: number,
    least?: Float64Array,
  ) {
    this.size = size
    this.least = least ?? new Float64Array(size * size).fill(-Infinity)
  }

  /** The distances of some work before anything is put in order; null when its lags contradict one another. */
  static of({ problem, chosen, after }: Network): Distances | null {
    const seconds = Float64Array.from(problem.tasks, t => t.seconds)
    const made = new Distances(seconds, seconds.length + 1)
    for (let i = 0; i < made.size; i++) made.least[i * made.size + i] = 0
    const all = problem.tasks.flatMap((_, n) => (chosen[n] ? [n] : []))
    for (const n of all) if (!made.atLeast(0, n + 1, 0)) return null
    for (const n of all)
      for (const { to, least, most } of after[n]!) {
        if (!made.atLeast(n + 1, to + 1, seconds[n]! + least)) return null
        if (most < Infinity && !made.atLeast(to + 1, n + 1, -(seconds[n]! + most))) return null
      }
    return made.select(all) ? made : null
  }

  copy(): Distances {
    return new Distances(this.seconds, this.size, this.least.slice())
  }

  /** The earliest start of a task, s. */
  head(n: number): number {
    return this.least[n + 1]!
  }
  /** Seconds from the start of a task to the end of all that follows it. */
  tail(n: number, among: readonly number[]): number {
    let most = this.seconds[n]!
    for (const m of among) most = Math.max(most, this.least[(n + 1) * this.size + m + 1]! + this.seconds[m]!)
    return most
  }

  /** Puts a task before all that are left; false when then the lags cannot all be met. */
  put(n: number, left: readonly number[]): boolean {
    return left.every(m => m === n || this.atLeast(n + 1, m + 1, this.seconds[n]!)) && this.select(left)
  }

  /** Lets everything end before some second; false when it cannot. */
  endBefore(finish: number, left: readonly number[]): boolean {
    if (finish === Infinity) return true
    return left.every(n => this.atLeast(n + 1, 0, -(finish - this.seconds[n]!)))
  }

  /** Lets one start at least so much after another; false when that goes round in a circle. */
  private atLeast(i: number, j: number, by: number): boolean {
    const { size, least } = this
    if (least[i * size + j]! >= by) return true
    if (least[j * size + i]! + by > CLOSE) return false
    for (let a = 0; a < size; a++) {
      const way = least[a * size + i]!
      if (way === -Infinity) continue
      for (let b = 0; b < size; b++) {
        const on = least[j * size + b]!
        if (on === -Infinity) continue
        const whole = way + by + on
        if (whole > least[a * size + b]!) least[a * size + b] = whole
      }
    }
    return true
  }

  /** Orders every two tasks of which only one can come first; false when neither can. */
  private select(left: readonly number[]): boolean {
    const { size, least, seconds } = this
    for (let changed = true; changed;) {
      changed = false
      for (const i of left) {
        for (const j of left) {
          // The second cannot be over before the first begins: it comes after it.
          if (i === j || least[(i + 1) * size + j + 1]! <= CLOSE - seconds[j]!) continue
          if (least[(i + 1) * size + j + 1]! >= seconds[i]! - CLOSE) continue
          if (!this.atLeast(i + 1, j + 1, seconds[i]!)) return false
          changed = true
        }
      }
    }
    return true
  }
}
