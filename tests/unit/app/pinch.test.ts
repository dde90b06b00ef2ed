import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { SAME } from '#core/skin'
import { usePinch } from '../../../app/components/bench/stage/pinch'

const base = { k: 2, ox: 100, oy: 100, front: SAME }
const finger = (pointerId: number, x: number, y: number, pointerType = 'touch') =>
  ({ pointerId, pointerType, clientX: x, clientY: y }) as PointerEvent

function two(turn: ((degrees: number) => void) | null = null) {
  const view = ref({ ...base })
  const pinch = usePinch(
    e => [e.clientX, e.clientY],
    { view: view as never, whole: ref(base) as never },
    () => turn,
  )
  expect(pinch.press(finger(1, 100, 100))).toBe(false)
  expect(pinch.press(finger(2, 200, 100))).toBe(true)
  return { view, pinch }
}

describe('two fingers on the stage', () => {
  it('zoom about their middle, and take the picture along', () => {
    const { view, pinch } = two()
    expect(pinch.drag(finger(2, 300, 100))).toBe(true)
    expect(view.value.k).toBeCloseTo(4, 6)
    // What lay under their middle, 25 mm off the origin, lies under their middle now.
    expect(view.value.ox + 4 * 25).toBeCloseTo(200, 6)
  })

  it('turn what is in hand by whole degrees, all of them together', () => {
    const turned = vi.fn()
    const { view, pinch } = two(turned)
    for (let a = 2; a <= 30; a += 2)
      pinch.drag(
        finger(2, 100 + 100 * Math.cos((a * Math.PI) / 180), 100 + 100 * Math.sin((a * Math.PI) / 180)),
      )
    const sum = turned.mock.calls.reduce((n, [by]) => n + (by as number), 0)
    expect(sum).toBeGreaterThanOrEqual(29)
    expect(sum).toBeLessThanOrEqual(30)
    expect(view.value).toEqual(base)
  })

  it('do nothing while they tremble, and are told from one finger and from a mouse', () => {
    const turned = vi.fn()
    const { view, pinch } = two(turned)
    pinch.drag(finger(2, 202, 103))
    expect(view.value).toEqual(base)
    expect(turned).not.toHaveBeenCalled()
    expect(pinch.release(finger(2, 202, 103))).toBe(true)
    expect(pinch.release(finger(1, 100, 100))).toBe(true)
    expect(pinch.press(finger(3, 0, 0))).toBe(false)
    expect(pinch.drag(finger(3, 50, 0))).toBe(false)
    expect(pinch.press(finger(4, 0, 0, 'mouse'))).toBe(false)
  })
})
