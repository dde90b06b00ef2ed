import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { GivenUp, StoppableWorker, TookTooLong } from '../../../app/utils/stoppable'

const SECOND = 1000
let ended = 0
/** A worker that never answers by itself: each test says when its jobs end. */
class Silent {
  addEventListener() {}
  removeEventListener() {}
  postMessage() {}
  terminate() {
    ended++
  }
}
const worker = () => {
  const made = new StoppableWorker<object>(() => new Silent() as unknown as Worker, 90 * SECOND)
  void made.jobs
  return made
}
/** A job that ends when its test says so. */
function job() {
  let done = (_: string) => {}
  const promise = new Promise<string>(resolve => (done = resolve))
  return { promise, done }
}
/** What became of something that may fail. */
const outcome = (promise: Promise<unknown>) =>
  promise.then(
    () => 'given',
    (error: Error) => error.constructor,
  )

beforeEach(() => {
  ended = 0
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

describe('a job of a worker on the page', () => {
  it('may take its time after those before it', async () => {
    const stoppable = worker()
    const jobs = [job(), job(), job()]
    const outcomes = jobs.map(({ promise }) => outcome(stoppable.until(promise)))
    for (const { done } of jobs) {
      await vi.advanceTimersByTimeAsync(60 * SECOND)
      done('')
      await vi.advanceTimersByTimeAsync(0)
    }
    expect(await Promise.all(outcomes)).toEqual(['given', 'given', 'given'])
    expect(ended).toBe(0)
  })

  it('that takes longer is ended with its worker, and says so; those behind it are given up', async () => {
    const stoppable = worker()
    const outcomes = [job(), job()].map(({ promise }) => outcome(stoppable.until(promise)))
    await vi.advanceTimersByTimeAsync(91 * SECOND)
    expect(await Promise.all(outcomes)).toEqual([TookTooLong, GivenUp])
    expect(ended).toBe(1)
  })

  it('leaves no clock behind', async () => {
    const stoppable = worker()
    const { promise, done } = job()
    const given = outcome(stoppable.until(promise))
    done('')
    expect(await given).toBe('given')
    expect(vi.getTimerCount()).toBe(0)
  })
})
