import type { StageHand, Tool } from './tool'

/** Picks the spot that is tapped next, whatever is painted there. */
export const pickingTool = ({ picking, pickAt }: StageHand): Tool => ({
  ownsPress: true,
  press: () =>
    picking.value
      ? {
          release(to) {
            picking.value = false
            pickAt(to)
          },
        }
      : null,
})
