import { near, type Grip, type StageHand, type Tool, type Touch } from './tool'

/**
 * Moves the picture while it is larger than the stage; a tap picks a spot unless landmarks are being fitted.
 */
export function panning({ view, whole, fitting, pickAt }: StageHand, from: Touch): Grip {
  const start = view.value
  const [x, y] = from.point
  return {
    drag({ point }) {
      if (view.value.k <= whole.value.k) return
      view.value = { ...start, ox: start.ox + point[0] - x, oy: start.oy + point[1] - y }
    },
    release(to) {
      if (near(from.point, to.point) && !fitting.value) pickAt(to)
    },
  }
}

/** The last tool: whatever nothing else wants. */
export const panTool = (hand: StageHand): Tool => ({ press: touch => panning(hand, touch) })
