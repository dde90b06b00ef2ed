import { degrees, wrapDegrees, type Point } from '#core/geometry'
import { atSoThat, liesAt, printedMiddle, type SheetStep } from '#core/look'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { toScreen } from '../view'
import { useHeldSheet } from '../heldSheet'
import { near, type Grip, type StageHand, type Tool, type Touch } from './tool'

/** With Shift a sheet turns in steps of so many degrees. */
const NOTCH = 15

/** The handles of the selected sheet: flipping over, and turning about what it prints. */
export function sheetHandleTool({ view, ghosts }: StageHand): Tool {
  const selection = useSelection()
  const scene = useScene()
  const held = useHeldSheet()

  /** The direction of a point of the stage from one of the skin, degrees clockwise from up. */
  const angleAbout = (pivot: Point, [x, y]: Point): number => {
    const [mx, my] = toScreen(view.value, pivot)
    return degrees(Math.atan2(x - mx, my - y))
  }
  function turning(step: SheetStep, from: Touch): Grip {
    const start = held.placementOf(step)
    const about = printedMiddle(step, scene.world)
    const pivot = liesAt(about, start, scene.ground)
    const offset = angleAbout(pivot, from.point) - start.tilt
    let tilt = start.tilt
    const turned = (quick: boolean) => {
      const moved = about[0] || about[1]
      const at = moved ? atSoThat(about, pivot, { tilt, side: start.side }, scene.ground, quick) : start.at
      return held.laidAs(step, { ...start, tilt, at })
    }
    return {
      drag({ point, shift }) {
        const angle = angleAbout(pivot, point) - offset
        tilt = wrapDegrees(shift ? Math.round(angle / NOTCH) * NOTCH : Math.round(angle))
        ghosts.preview.value = turned(true)
      },
      release: () => held.settle('turn', ghosts.preview.value && turned(false)),
    }
  }
  return {
    press(touch) {
      const handles = held.handlesOn(view.value)
      if (!handles || !selection.sheet) return null
      if (near(touch.point, handles.flip)) {
        held.flip()
        return 'done'
      }
      return near(touch.point, handles.turn) ? turning(selection.sheet, touch) : null
    },
  }
}
