import { effectScope, shallowRef } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useMoves } from '../../../app/components/bench/stage/moves'

/** A pointer's event at a place, on what it moves over. */
function event(type: string, x: number, pointerType = 'mouse'): PointerEvent {
  return Object.assign(new Event(type), { clientX: x, clientY: 0, pointerType }) as unknown as PointerEvent
}

describe('moves of a pointer', () => {
  const pad = new EventTarget()
  const dragged: number[] = []
  let frames: (() => void)[] = []
  let scope = effectScope()
  let move: (event: PointerEvent) => void
  const raw = (x: number, pointerType?: string) =>
    pad.dispatchEvent(event('pointerrawupdate', x, pointerType))
  const frame = () => {
    const now = frames
    frames = []
    now.forEach(job => job())
  }

  beforeEach(() => {
    vi.useFakeTimers()
    vi.stubGlobal('requestAnimationFrame', (job: () => void) => frames.push(job))
    dragged.length = 0
    frames = []
    scope = effectScope()
    move = scope.run(() => useMoves(shallowRef(pad as unknown as HTMLElement), e => dragged.push(e.clientX)))!
  })
  afterEach(() => {
    scope.stop()
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  it('are worked on ahead of their frame, and not again in it', () => {
    raw(10)
    expect(dragged).toEqual([10])
    move(event('pointermove', 10))
    frame()
    vi.runAllTimers()
    expect(dragged).toEqual([10])
    raw(12)
    expect(dragged).toEqual([10, 12])
  })

  it('that come in later before the same frame are worked on once, after it, at the last place', () => {
    raw(10)
    raw(11)
    raw(14)
    move(event('pointermove', 14))
    expect(dragged).toEqual([10])
    frame()
    vi.runAllTimers()
    expect(dragged).toEqual([10, 14])
  })

  it('are not lost when the pointer lets go within the same frame, and none follows that', () => {
    raw(10)
    move(event('pointermove', 14))
    pad.dispatchEvent(event('pointerup', 14))
    expect(dragged).toEqual([10, 14])
    vi.runAllTimers()
    expect(dragged).toEqual([10, 14])
  })

  it('begin anew with a press: the first after it is worked on at once', () => {
    raw(10)
    pad.dispatchEvent(event('pointerdown', 10))
    raw(16)
    expect(dragged).toEqual([10, 16])
  })

  it('of fingers are all told as they are, since each finger counts', () => {
    raw(10, 'touch')
    expect(dragged).toEqual([])
    move(event('pointermove', 10, 'touch'))
    move(event('pointermove', 30, 'touch'))
    expect(dragged).toEqual([10, 30])
  })

  it('are told plainly where the browser tells of none ahead', () => {
    move(event('pointermove', 3))
    move(event('pointermove', 5))
    expect(dragged).toEqual([3, 5])
  })
})
