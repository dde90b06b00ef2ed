import type { Ghosts, Grip, Tool, Touch } from './tools'

/** What the first tool that takes a press takes hold of. */
function takenUp(tools: readonly Tool[], touch: Touch): { grip: Grip | null; ownsPress: boolean } {
  for (const { press, ownsPress = false } of tools) {
    const taken = press(touch)
    if (taken) return { grip: taken === 'done' ? null : taken, ownsPress }
  }
  return { grip: null, ownsPress: false }
}

/** What lies under the hand, be it moved by a pointer or by keys: taken hold of, carried, let go. */
export function useGrip(tools: readonly Tool[], ghosts: Ghosts) {
  let grip: Grip | null = null
  /**
   * Takes hold of what is there.
   * @returns whether there is something in hand now, and whether its tool takes a long press for itself
   */
  function take(touch: Touch): { held: boolean; ownsPress: boolean } {
    const taken = takenUp(tools, touch)
    grip = taken.grip
    return { held: grip !== null, ownsPress: taken.ownsPress }
  }
  const carry = (touch: Touch): void => grip?.drag?.(touch)
  /** Sets down what is in hand; `tapped` when it was not carried. */
  const put = (touch: Touch, tapped: boolean): void => grip?.release?.(touch, tapped)
  /** The hand lets go; nothing is shown any more. */
  function letGo(): void {
    grip = null
    for (const ghost of Object.values(ghosts)) ghost.value = null
  }
  return {
    take,
    carry,
    put,
    letGo,
    held: () => grip !== null,
    /** Whether a tap with Alt is what it holds' own. */
    ownsAlt: () => grip?.ownsAlt ?? false,
  }
}
