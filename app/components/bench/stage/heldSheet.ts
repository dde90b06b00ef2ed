import type { Point } from '#core/geometry'
import { placementOf, type SheetStep } from '#core/look'
import { layOn, type Placement } from '#core/skin'
import { usePlacing } from '~/composables/usePlacing'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { heldHandles } from './handles'
import type { View } from './view'

/** The sheet that the hand has, or its unlinked twin: where it lies, and where it is laid. */
export function useHeldSheet() {
  const selection = useSelection()
  const scene = useScene()
  const placing = usePlacing()
  const twinOf = (step: SheetStep) => (selection.holdsTwin ? step.twin.own : null)
  /** A placement held at the sheet's middle. */
  const atMiddle = (placement: Placement): Placement => ({
    at: layOn(scene.ground.surface, placement).point([0, 0]),
    tilt: placement.tilt,
    side: placement.side,
  })
  return {
    atMiddle,
    placementOf: (step: SheetStep): Placement => atMiddle(twinOf(step) ?? placementOf(step)),
    /** The step with the sheet that is held laid elsewhere. */
    laidAs(step: SheetStep, { at: [x, y], tilt, side }: Placement): SheetStep {
      const place = {
        at: [x, y] satisfies Point as [number, number],
        tilt,
        side,
        grip: [0, 0] as [number, number],
      }
      return twinOf(step) ? { ...step, twin: { ...step.twin, own: place } } : { ...step, ...place }
    },
    /** Lays the selected sheet as it is shown. */
    settle(label: string, shown: SheetStep | null): void {
      if (!shown) return
      const to = twinOf(shown) ?? shown
      placing.place(label, place => {
        place.at = [to.at[0], to.at[1]]
        place.tilt = to.tilt
      })
    },
    flip: placing.flip,
    /** Where the handles of the sheet that is held stand on the stage; null when none is. */
    handlesOn: (view: View) =>
      heldHandles(selection.sheet, selection.holdsTwin, scene.world, view)?.at ?? null,
  }
}
