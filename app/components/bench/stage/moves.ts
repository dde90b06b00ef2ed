import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'

/**
 * Moves of a pointer over an element. Where the browser tells of them as they come in (`pointerrawupdate`), the
 * first of a frame is worked on at once, between two frames: the frame itself then only has to be drawn. Moves
 * that come in later before the same frame are worked on after it, or before the pointer lets go.
 * @param target what the pointer moves over
 * @param drag what a move does
 * @returns what is to be told of each plain move
 */
export function useMoves(
  target: Readonly<Ref<HTMLElement | null>>,
  drag: (event: PointerEvent) => void,
): (event: PointerEvent) => void {
  /** The move that was worked on ahead of the frame that is to come. */
  let ahead: PointerEvent | null = null
  /** A later one that is still to be worked on. */
  let waiting: PointerEvent | null = null
  // Fingers come by twos, and each move of either counts.
  const isFinger = (event: PointerEvent) => event.pointerType === 'touch'
  const workOff = () => {
    const event = waiting
    waiting = null
    if (event) drag(event)
  }

  useEventListener(target, 'pointerrawupdate' as 'pointermove', event => {
    if (ahead || isFinger(event)) return
    ahead = event
    drag(event)
    requestAnimationFrame(() => {
      ahead = null
    })
  })
  // What comes down or lets go has its own place: no move from before may follow it, and none is lost.
  useEventListener(
    target,
    ['pointerdown', 'pointerup', 'pointercancel'],
    () => {
      workOff()
      ahead = null
    },
    { capture: true },
  )
  return event => {
    waiting = null
    if (!ahead || isFinger(event)) return drag(event)
    if (ahead.clientX === event.clientX && ahead.clientY === event.clientY) return
    waiting = event
    setTimeout(workOff)
  }
}
