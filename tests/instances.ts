import type { Lag, Problem, Task } from '#core/order'

/** Repeatable random numbers in [0, 1): the same work each time (Park and Miller 1988, minimal standard). */
function dice(seed: number): () => number {
  let state = seed % 2147483647 || 1
  return () => (state = (state * 48271) % 2147483647) / 2147483647
}

/** What random work is like: shares of pairs of tasks that are in order, and of those that have a window. */
export interface Mix {
  readonly ordered: number
  readonly windows: number
  readonly optional: number
}

/** Random work for one pair of hands: lags of both kinds, optional tasks, pairs and needs. */
export function randomWork(n: number, seed: number, mix: Mix): Problem {
  const next = dice(seed)
  const int = (a: number, b: number) => a + Math.floor(next() * (b - a + 1))
  const tasks = Array.from({ length: n }, (): Task => ({
    seconds: int(2, 40),
    worth: next() < mix.optional ? int(1, 9) : null,
  }))
  const lags: Lag[] = []
  for (let from = 0; from < n; from++)
    for (let to = from + 1; to < n; to++) {
      if (next() >= mix.ordered) continue
      const least = next() < 0.6 ? int(5, 60) : 0
      lags.push({ from, to, least, most: next() < mix.windows ? least + int(0, 40) : Infinity })
    }
  const optional = tasks.flatMap((t, i) => (t.worth === null ? [] : [i]))
  const [a, b, c] = optional
  return {
    tasks,
    lags,
    pairs: b !== undefined && next() < 0.5 ? [[a!, b]] : [],
    needs: c !== undefined && next() < 0.5 ? [[c, a!]] : [],
  }
}
