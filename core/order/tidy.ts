import { CLOSE, Network, timed, type Problem, type Timed } from './problem'

/** What is better of two orders that finish alike, as numbers that are to be small, the weightiest first. */
export type Taste = (order: readonly number[]) => readonly number[]

const better = (a: readonly number[], b: readonly number[]): boolean => {
  for (let i = 0; i < a.length; i++) if (Math.abs(a[i]! - b[i]!) > CLOSE) return a[i]! < b[i]!
  return false
}

/** Rounds in which every task is tried in every other place. */
const ROUNDS = 6

/**
 * An order that finishes no later and is more to somebody's taste: single tasks are put elsewhere for as long as
 * that helps. What is best by taste is not proven.
 */
export function tidied(problem: Problem, chosen: readonly boolean[], found: Timed, taste: Taste): Timed {
  const network = new Network(problem, chosen)
  let best = found
  let value = taste(found.order)
  for (let round = 0, any = true; any && round < ROUNDS; round++) {
    any = false
    for (let from = 0; from < best.order.length; from++) {
      for (let to = 0; to < best.order.length; to++) {
        if (to === from) continue
        const order = [...best.order]
        order.splice(to, 0, ...order.splice(from, 1))
        const now = taste(order)
        if (!better(now, value)) continue
        const next = timed(network, order)
        if (!next || next.finish > found.finish + CLOSE) continue
        best = next
        value = now
        any = true
      }
    }
  }
  return best
}
