import { beforeAll, describe, expect, it } from 'vitest'
import { Budget, shortest, vapourPressure } from '#core/order'
import { randomWork } from '../instances'
import { solver } from '../solver'

// The order of the steps, held against a general mixed-integer solver that knows nothing of ours.

const LONG = { limitMs: 20_000, clock: () => performance.now() }
let solve: Awaited<ReturnType<typeof solver>>
beforeAll(async () => {
  solve = await solver()
})

/** Sizes from 6 to 12 tasks, the larger ones seldom: the solver takes seconds for them. */
const sizeOf = (seed: number): number => (seed % 20 === 0 ? 12 : seed % 10 === 5 ? 10 : 6 + (seed % 3))

describe('the shortest order', () => {
  it('is the optimum of a general solver on 120 random works with lags and windows', () => {
    let none = 0
    for (let seed = 1; seed <= 120; seed++) {
      const work = randomWork(sizeOf(seed), seed, { ordered: 0.3, windows: 0.15, optional: 0 })
      const own = shortest(work, LONG)
      const other = solve(work)
      if (!other) none++
      expect(own?.finish ?? null, `work ${seed}`).toEqual(other ? expect.closeTo(other.finish, 4) : null)
      if (!own) continue
      expect(own.proven).toBe(true)
      expect(own.order).toHaveLength(work.tasks.length)
    }
    // Some cannot be done at all: both say so.
    expect(none).toBeGreaterThan(0)
    expect(none).toBeLessThan(60)
  }, 200_000)
})

describe('what is done within a budget', () => {
  it('is the optimum of a general solver on 100 random works with optional tasks, pairs and needs', () => {
    for (let seed = 1; seed <= 100; seed++) {
      const work = randomWork(6 + (seed % 3), 1000 + seed, { ordered: 0.25, windows: 0.1, optional: 0.5 })
      const whole = work.tasks.reduce((sum, t) => sum + t.seconds, 0)
      const budget = Math.round(whole * (0.5 + (seed % 5) / 8))
      const own = new Budget(work).within(budget, LONG)
      const other = solve(work, budget)
      expect(own && { finish: own.plan.finish, worth: own.worth }, `work ${seed}`).toEqual(
        other && { finish: expect.closeTo(other.finish, 3), worth: other.worth },
      )
    }
  }, 200_000)
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
