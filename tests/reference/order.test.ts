import { describe, expect, it } from 'vitest'
import { Budget, shortest, vapourPressure } from '#core/order'
import { answers, digestOf, ofToday, shortWorks, wholeWorks, type Case } from '../solved'
import { solver } from '../solver'

// The order of the steps, held against a general mixed-integer solver that knows nothing of ours. Its answers are
// kept, since it takes a minute for them; every day it finds some of them again.

const LONG = { limitMs: 20_000, clock: () => performance.now() }
const kept = answers()

/** What the solver has found for a work. */
function solvedOf(one: Case) {
  const { digest, solved } = kept[one.name]!
  expect(digest, `${one.name}: the work has changed; have it solved anew with "npm run solve"`).toBe(
    digestOf(one),
  )
  return solved
}

describe('the shortest order', () => {
  it('is the optimum of a general solver on 120 random works with lags and windows', () => {
    let none = 0
    for (const one of wholeWorks()) {
      const own = shortest(one.work, LONG)
      const other = solvedOf(one)
      if (!other) none++
      expect(own?.finish ?? null, one.name).toEqual(other ? expect.closeTo(other.finish, 4) : null)
      if (!own) continue
      expect(own.proven).toBe(true)
      expect(own.order).toHaveLength(one.work.tasks.length)
    }
    // Some cannot be done at all: both say so.
    expect(none).toBeGreaterThan(0)
    expect(none).toBeLessThan(60)
  })
})

describe('what is done within a budget', () => {
  it('is the optimum of a general solver on 100 random works with optional tasks, pairs and needs', () => {
    for (const one of shortWorks()) {
      const own = new Budget(one.work).within(one.budget, LONG)
      const other = solvedOf(one)
      expect(own && { finish: own.plan.finish, worth: own.worth }, one.name).toEqual(
        other && { finish: expect.closeTo(other.finish, 3), worth: other.worth },
      )
    }
  })
})

describe('the answers of the solver that are kept', () => {
  it('are what it finds today, for a dozen of the works, others every day', async () => {
    const solve = await solver()
    const small = [...wholeWorks(), ...shortWorks()].filter(({ work }) => work.tasks.length < 10)
    for (const one of ofToday(small, Math.ceil(small.length / 12))) {
      const now = solve(one.work, one.budget)
      expect(now, one.name).toEqual(
        kept[one.name]!.solved && { ...kept[one.name]!.solved, finish: expect.closeTo(now!.finish, 4) },
      )
    }
  })
})

describe('the pressure of water vapour', () => {
  // Saturation pressures of the steam tables, hPa (Wagner and Pruss 2002, Journal of Physical and Chemical Reference
  // Data 31:387; as they are tabled, from memory).
  it.each([
    [0.01, 6.117],
    [10, 12.28],
    [20, 23.39],
    [30, 42.47],
    [33, 50.34],
    [40, 73.85],
  ])('at %d degrees is that of the steam tables within half a percent', (t, hPa) => {
    expect(Math.abs(vapourPressure(t) / hPa - 1)).toBeLessThan(0.005)
  })
})
