import { useIntervalFn } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { passedBetween, type Clocks } from '#core/chair'

/** How often the clock on the screen goes on, ms. */
const TICK_MS = 250
/** This page, until it is loaded anew: its steady clock begins with it. */
const PAGE = nanoid(8)
const clocksNow = (): Clocks => ({ wall: Date.now(), steady: performance.now(), page: PAGE })

/**
 * The seconds since the last deed.
 * @param runs whether there is anything to count
 * @param tell told when a clock was set meanwhile
 */
export function sittingClock(runs: () => boolean, tell: (problem: string) => void) {
  const clocks = shallowRef<Clocks>(clocksNow())
  const passed = ref(0)
  /** Looks at the clocks. */
  function sinceLast(): number {
    const { seconds, problem } = passedBetween(clocks.value, clocksNow())
    if (problem) tell(problem)
    return seconds
  }
  useIntervalFn(() => {
    if (runs()) passed.value = sinceLast()
  }, TICK_MS)
  /** Begins to count anew. */
  function strike(): void {
    clocks.value = clocksNow()
    passed.value = 0
  }
  /** Goes on counting from what the clocks said before. */
  function goOn(from: Clocks): void {
    clocks.value = from
    passed.value = sinceLast()
  }
  return { clocks, passed, sinceLast, strike, goOn }
}
