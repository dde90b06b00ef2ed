import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  finishOf,
  gateBefore,
  mergedEvents,
  passedBetween,
  progressAfter,
  progressNow,
  putLater,
  stateIn,
  windowOf,
  type Deed,
  type Event,
  type Gate,
} from '#core/chair'

const begin: Event = { deed: 'begin', passed: 0, order: ['a', 'b', 'c', 'd'], length: 'whole' }
const after = (passed: number, deed: Deed, more: Partial<Event> = {}): Event => ({ deed, passed, ...more })
const dry: Gate = { from: 'a', to: 'c', least: 60, most: Infinity, lead: 0, bound: true }
const wet: Gate = { from: 'a', to: 'b', least: 0, most: 30, lead: 0, bound: true }

describe('one sitting in two tabs', () => {
  const T0 = 1_700_000_000_000
  const deed = (id: string, second: number, event: Partial<Event> = {}): Event => ({
    deed: 'done',
    passed: 0,
    id,
    at: T0 + 1000 * second,
    ...event,
  })
  const begun = deed('b', 0, { deed: 'begin', order: ['x', 'y', 'z'] })

  it('loses no deed, counts none twice and counts the time once', () => {
    const one = [begun, deed('1', 10, { passed: 10, of: 'x' }), deed('3', 30, { passed: 20, of: 'y' })]
    const other = [begun, deed('2', 20, { passed: 20, of: 'x' })]
    const both = mergedEvents(one, other)
    expect(both.map(e => e.id)).toEqual(['b', '1', '2', '3'])
    expect(mergedEvents(other, one)).toEqual(both)
    expect(both.map(e => e.passed)).toEqual([0, 10, 10, 10])
    // "Done" was pressed for the same step in both: the next one is not done with it.
    const progress = progressAfter(both, [])
    expect(progress.behind).toEqual(['x', 'y'])
    expect(progress.left).toEqual(['z'])
    expect(progress.now).toBe(30)
  })

  it('goes on from the longer account where one has all of the other', () => {
    const short = [begun, deed('1', 10)]
    const long = [...short, deed('2', 20)]
    expect(mergedEvents(short, long)).toBe(long)
    expect(mergedEvents(long, short)).toBe(long)
    expect(mergedEvents([], long)).toBe(long)
  })

  it('of an earlier version, without ids, stays as it is', () => {
    const old: Event[] = [
      { deed: 'begin', passed: 0, order: ['x'] },
      { deed: 'done', passed: 5 },
    ]
    expect(mergedEvents(old, [...old, deed('1', 3)])).toHaveLength(3)
    expect(progressAfter(old, []).behind).toEqual(['x'])
  })
})

describe('a sitting', () => {
  it('counts the seconds of each step, and nothing of a pause', () => {
    const p = progressAfter(
      [begin, after(10, 'done'), after(4, 'pause'), after(100, 'resume'), after(6, 'done')],
      [],
    )
    expect(stateIn(p, 'a')).toMatchObject({ seconds: 10, ending: 'done', doneAt: 10 })
    expect(stateIn(p, 'b')).toMatchObject({ seconds: 10, ending: 'done', doneAt: 120 })
    expect(p).toMatchObject({ now: 120, paused: 100, left: ['c', 'd'], behind: ['a', 'b'] })
  })

  it('waits for what must be dry: waiting is not the time of the hands, and paint dries through a pause', () => {
    const events = [begin, after(10, 'done'), after(20, 'done')]
    const p = progressAfter(events, [dry])
    expect(gateBefore(p, 'c', [dry])).toEqual({ seconds: 40, on: 'a' })
    expect(gateBefore(progressNow(p, 15, [dry]), 'c', [dry]).seconds).toBe(25)
    const paused = progressAfter([...events, after(0, 'pause'), after(60, 'resume')], [dry])
    expect(gateBefore(paused, 'c', [dry]).seconds).toBe(0)
    const done = progressAfter([...events, after(50, 'done')], [dry])
    expect(stateIn(done, 'c')).toMatchObject({ waited: 40, seconds: 10 })
  })

  it('tells how long something is wet enough', () => {
    const p = progressAfter([begin, after(10, 'done')], [wet])
    expect(windowOf(progressNow(p, 12, [wet]), 'b', [wet])).toEqual({ seconds: 18, on: 'a' })
    expect(windowOf(p, 'c', [wet])).toBeNull()
  })

  it('skips, goes back, and begins again when somebody moved', () => {
    const p = progressAfter(
      [begin, after(5, 'skip'), after(7, 'again'), after(3, 'done'), after(0, 'back')],
      [],
    )
    expect(stateIn(p, 'a').ending).toBe('skipped')
    expect(stateIn(p, 'b')).toMatchObject({ seconds: 3, lost: 7, again: 1, ending: 'open', doneAt: null })
    expect(p.left).toEqual(['b', 'c', 'd'])
  })

  it('is not ended any more when one goes back, and does not count what was said at its end', () => {
    const all = ['done', 'done', 'done', 'done', 'end'].map(d => after(1, d as Deed))
    const p = progressAfter([begin, ...all, after(50, 'back')], [])
    expect(p).toMatchObject({ ended: false, left: ['d'], now: 5 })
  })

  it('puts a step behind the next that may go before it', () => {
    const p = progressAfter([begin], [])
    expect(putLater(p, [])).toEqual(['b', 'a', 'c', 'd'])
    // What goes onto the step in hand, and what goes onto that, cannot come before it.
    expect(putLater(p, [wet, { ...dry, from: 'b' }])).toEqual(['d', 'a', 'b', 'c'])
    const bound = ['b', 'c', 'd'].map((to): Gate => ({ ...dry, to }))
    expect(putLater(p, bound)).toBeNull()
    expect(putLater(progressAfter([{ ...begin, order: ['a'] }], []), [])).toBeNull()
  })

  it('is made shorter: what goes is left out and not skipped', () => {
    const p = progressAfter(
      [begin, after(5, 'done'), after(1, 'shorten', { order: ['d', 'b'], length: 'three waiting' })],
      [],
    )
    expect(p).toMatchObject({ left: ['d', 'b'], length: 'three waiting' })
    expect(stateIn(p, 'c').ending).toBe('left out')
  })

  it('loses no second, whatever is done', () => {
    const deeds: Deed[] = ['done', 'skip', 'back', 'again', 'pause', 'resume', 'later', 'look']
    const events = fc.array(
      fc.record({ deed: fc.constantFrom(...deeds), passed: fc.integer({ min: 0, max: 90 }) }),
      { maxLength: 40 },
    )
    fc.assert(
      fc.property(events, list => {
        const p = progressAfter([begin, ...list], [dry, wet])
        const total = list.reduce((s, e) => s + e.passed, 0)
        const inSteps = [...p.steps.values()].reduce((s, x) => s + x.seconds + x.waited + x.lost, 0)
        expect(p.now).toBe(total)
        // Only when no step was left in hand is there time that belongs to none.
        expect(inSteps + p.paused).toBeLessThanOrEqual(total + 1e-9)
        if (
          p.left.length &&
          !list.some((_, i) => !progressAfter([begin, ...list.slice(0, i + 1)], []).left.length)
        )
          expect(inSteps + p.paused).toBeCloseTo(total, 6)
        expect(new Set([...p.left, ...p.behind]).size).toBe(4)
      }),
    )
  })

  it('is planned with its waits', () => {
    expect(finishOf(['a', 'b', 'c'], () => 10, [dry])).toBe(80)
    expect(finishOf(['a', 'c', 'b'], () => 10, [])).toBe(30)
  })
})

describe('the clocks', () => {
  const at = (wall: number, steady: number, page = 'p') => ({
    wall: 1000 * wall,
    steady: 1000 * steady,
    page,
  })
  it('go by the steady one, whatever the time of day is set to', () => {
    expect(passedBetween(at(0, 0), at(30, 30))).toEqual({ seconds: 30, problem: null })
    const back = passedBetween(at(4000, 0), at(400, 30))
    expect(back.seconds).toBe(30)
    expect(back.problem).toContain('set back')
    expect(passedBetween(at(0, 0), at(90_000, 30)).problem).toContain('set forward')
  })
  it('count what a device slept', () => {
    expect(passedBetween(at(0, 0), at(300, 20))).toEqual({ seconds: 300, problem: null })
  })
  it('count over a reload by the time of day, and not for hours', () => {
    expect(passedBetween(at(0, 500), at(42, 1, 'q'))).toEqual({ seconds: 42, problem: null })
    expect(passedBetween(at(100, 0), at(40, 0, 'q'))).toMatchObject({ seconds: 0 })
    const long = passedBetween(at(0, 0), at(7200, 0, 'q'))
    expect(long.seconds).toBe(1200)
    expect(long.problem).toContain('120 minutes')
  })
})
