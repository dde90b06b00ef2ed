import { describe, expect, it } from 'vitest'
import { Budget, Network, shortest, tidied, timed, type Problem } from '#core/order'
import { randomWork } from '../../instances'

const LONG = { limitMs: 20_000, clock: () => performance.now() }
const work = (seconds: number[], lags: Problem['lags'] = []): Problem => ({
  tasks: seconds.map(s => ({ seconds: s, worth: null })),
  lags,
  pairs: [],
  needs: [],
})
const after = (from: number, to: number, least = 0, most = Infinity) => ({ from, to, least, most })

/** Every order of some tasks that keeps what comes after what. */
function* orders(
  net: Network,
  left: readonly number[],
  begun: readonly number[] = [],
): Generator<readonly number[]> {
  if (!left.length) yield begun
  for (const n of left)
    if (net.before[n]!.every(l => begun.includes(l.from)))
      yield* orders(
        net,
        left.filter(m => m !== n),
        [...begun, n],
      )
}
function tried(problem: Problem, chosen: readonly boolean[]): number {
  const net = new Network(problem, chosen)
  let best = Infinity
  for (const order of orders(
    net,
    problem.tasks.flatMap((_, n) => (chosen[n] ? [n] : [])),
  ))
    best = Math.min(best, timed(net, order)?.finish ?? Infinity)
  return best
}

describe('the shortest order', () => {
  it('fills the time that something dries', () => {
    // A base of 10 s that dries 60 s before its print; two other tasks of 30 s fit in between.
    const plan = shortest(work([10, 20, 30, 30], [after(0, 1, 60)]), LONG)!
    expect(plan).toMatchObject({ finish: 90, proven: true, bound: 90 })
    expect(plan.order[0]).toBe(0)
    expect(plan.order.at(-1)).toBe(1)
  })

  it('waits with a step where another must follow it soon', () => {
    // The second goes on within 5 s of the first, and not before 50 s: so the first waits.
    const problem = work([10, 10, 50], [after(0, 1, 0, 5), after(2, 1, 0)])
    const plan = shortest(problem, LONG)!
    const at = (n: number) => plan.starts[plan.order.indexOf(n)]!
    expect(plan.finish).toBe(70)
    expect(at(1) - (at(0) + 10)).toBeLessThanOrEqual(5)
  })

  it('is that of all orders tried one by one', () => {
    for (let seed = 1; seed <= 120; seed++) {
      const problem = randomWork(4 + (seed % 4), seed, { ordered: 0.28, windows: 0.2, optional: 0 })
      const all = problem.tasks.map(() => true)
      const plan = shortest(problem, LONG)
      expect(plan?.finish ?? Infinity).toBeCloseTo(tried(problem, all), 6)
      if (!plan) continue
      expect(plan.proven).toBe(true)
      // The order itself is told, of all tasks, and it finishes as it says.
      expect([...plan.order].sort((a, b) => a - b)).toEqual(all.map((_, n) => n))
      expect(timed(new Network(problem, all), plan.order)!.finish).toBeCloseTo(plan.finish, 6)
    }
  })

  it('is none where windows cannot be kept, or work goes round in a circle', () => {
    expect(shortest(work([5, 50, 5], [after(0, 2, 0, 20), after(0, 1), after(1, 2)]), LONG)).toBeNull()
    expect(shortest(work([5, 5], [after(0, 1), after(1, 0)]), LONG)).toBeNull()
  })

  it('tells its bound when there was no time to prove it', () => {
    let now = 0
    // A clock that has run out the first time it is asked.
    const clock = () => (now += 1000)
    const problem = randomWork(26, 9, { ordered: 0.2, windows: 0, optional: 0 })
    const plan = shortest(problem, { limitMs: 1, clock })!
    expect(plan.order).toHaveLength(26)
    expect(plan.bound).toBeLessThanOrEqual(plan.finish)
    expect(plan.bound).toBeGreaterThan(0)
  })

  it('of nothing takes no time', () => {
    expect(shortest(work([]), LONG)).toMatchObject({ order: [], finish: 0, proven: true })
  })
})

describe('what is done in some time', () => {
  const problem: Problem = {
    tasks: [
      { seconds: 60, worth: null },
      { seconds: 20, worth: 5 },
      { seconds: 30, worth: 6 },
      { seconds: 40, worth: 8 },
    ],
    lags: [],
    pairs: [],
    needs: [],
  }

  it('is worth the most that fits', () => {
    const found = new Budget(problem).within(120, LONG)!
    expect(found.chosen).toEqual([true, true, false, true])
    expect(found.worth).toBe(13)
    expect(found.plan.finish).toBe(120)
  })

  it('keeps pairs together, and nothing without what it needs', () => {
    const paired = new Budget({ ...problem, pairs: [[1, 3]] }).within(115, LONG)!
    expect(paired.chosen).toEqual([true, false, true, false])
    const needed = new Budget({ ...problem, needs: [[3, 2]] }).within(105, LONG)!
    expect(needed.chosen).toEqual([true, false, true, false])
    // What must be done takes along what it needs.
    const must = new Budget({ ...problem, needs: [[0, 3]] }).within(100, LONG)!
    expect(must.chosen).toEqual([true, false, false, true])
  })

  it('is nothing below what must be done', () => {
    expect(new Budget(problem).within(59, LONG)).toBeNull()
    expect(new Budget(problem).least(LONG)!.finish).toBe(60)
  })

  it('is all of it in the whole, also what is worth nothing', () => {
    const tasks = [...problem.tasks, { seconds: 15, worth: 0 }]
    const budget = new Budget({ ...problem, tasks })
    expect(budget.whole(LONG)!.chosen).toEqual([true, true, true, true, true])
    expect(budget.least(LONG)!.finish).toBe(60)
  })

  it('falls back on what must be done when there was no time to try more, and says so', () => {
    let now = 0
    const clock = () => (now += 10_000)
    const budget = new Budget(problem)
    const found = budget.within(120, { limitMs: 1, clock })!
    expect(found.chosen).toEqual([true, false, false, false])
    expect(budget.complete).toBe(false)
    budget.within(120, LONG)
    expect(budget.complete).toBe(true)
  })

  it('falls from the whole to the least, and never gains worth for less time', () => {
    const curve = new Budget(problem).curve(20, LONG)
    expect(curve[0]).toMatchObject({ worth: 19, chosen: [true, true, true, true] })
    expect(curve.at(-1)!.worth).toBe(0)
    for (let i = 1; i < curve.length; i++) {
      expect(curve[i]!.plan.finish).toBeLessThan(curve[i - 1]!.plan.finish)
      expect(curve[i]!.worth).toBeLessThanOrEqual(curve[i - 1]!.worth)
    }
  })
})

describe('an order to taste', () => {
  it('finishes no later, and changes tools less often', () => {
    const tools = ['a', 'b', 'a', 'b', 'a', 'b']
    const problem = work([5, 5, 5, 5, 5, 5])
    const plan = shortest(problem, LONG)!
    const changes = (order: readonly number[]) => [
      order.filter((n, i) => i > 0 && tools[n] !== tools[order[i - 1]!]).length,
    ]
    const all = problem.tasks.map(() => true)
    const tidy = tidied(problem, all, { ...plan, order: [0, 1, 2, 3, 4, 5] }, changes)
    expect(tidy.finish).toBe(plan.finish)
    expect(changes(tidy.order)).toEqual([1])
  })
})
