import type { Ref } from 'vue'
import type { Point } from '#core/geometry'
import { zoomed, type View } from './view'

/** Fingers that go apart by less than this, as a share, or turn by less, degrees, have not begun. */
const BEGINS = { zoom: 0.06, turn: 8 }

interface Pair {
  readonly middle: Point
  readonly apart: number
  /** Degrees clockwise. */
  readonly angle: number
}

function pairOf([a, b]: readonly Point[]): Pair {
  const [dx, dy] = [b![0] - a![0], b![1] - a![1]]
  return {
    middle: [(a![0] + b![0]) / 2, (a![1] + b![1]) / 2],
    apart: Math.max(1, Math.hypot(dx, dy)),
    angle: (Math.atan2(dy, dx) * 180) / Math.PI,
  }
}

/** The way from one angle to another, -180 to 180 degrees. */
const turnBetween = (from: number, to: number): number => ((to - from + 540) % 360) - 180

/**
 * Two fingers on the stage: going apart or together they zoom about their middle and take the picture along;
 * turning, they turn what is in hand, by whole degrees.
 * @param turn turns what is in hand; null when nothing can be turned
 */
export function usePinch(
  at: (event: PointerEvent) => Point,
  { view, whole }: { view: Ref<View>; whole: Readonly<Ref<View>> },
  turn: () => ((degrees: number) => void) | null,
) {
  const fingers = new Map<number, Point>()
  let before: Pair | null = null
  let begun: 'zoom' | 'turn' | null = null

  /** A finger comes down; true when it is the second. */
  function press(event: PointerEvent): boolean {
    if (event.pointerType !== 'touch') return false
    fingers.set(event.pointerId, at(event))
    if (fingers.size !== 2) return fingers.size > 2
    before = pairOf([...fingers.values()])
    begun = null
    return true
  }
  /** A finger moves; true as long as there are two. */
  function drag(event: PointerEvent): boolean {
    if (!fingers.has(event.pointerId)) return false
    fingers.set(event.pointerId, at(event))
    if (!before || fingers.size !== 2) return before !== null
    const now = pairOf([...fingers.values()])
    const angle = turnBetween(before.angle, now.angle)
    const factor = now.apart / before.apart
    begun ??=
      Math.abs(angle) > BEGINS.turn && turn() ? 'turn' : Math.abs(factor - 1) > BEGINS.zoom ? 'zoom' : null
    if (begun === 'turn') turnBy(angle, now)
    else if (begun === 'zoom') {
      const near = zoomed(view.value, whole.value, factor, before.middle)
      const [dx, dy] = [now.middle[0] - before.middle[0], now.middle[1] - before.middle[1]]
      view.value = near === whole.value ? near : { ...near, ox: near.ox + dx, oy: near.oy + dy }
      before = now
    }
    return true
  }
  function turnBy(angle: number, now: Pair): void {
    const whole = Math.trunc(angle)
    if (!whole) return
    turn()?.(whole)
    before = { ...now, angle: before!.angle + whole }
  }
  /** A finger goes up; true when it was one of two. */
  function release(event: PointerEvent): boolean {
    const two = before !== null
    fingers.delete(event.pointerId)
    if (!fingers.size) before = null
    return two
  }
  return { press, drag, release }
}
