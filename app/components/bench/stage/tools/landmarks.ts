import { moveLandmark } from '#core/look'
import { useScene } from '~/stores/scene'
import { useSession } from '~/stores/session'
import { toPicture, toScreen } from '../view'
import { panning } from './pan'
import { near, type StageHand, type Tool } from './tool'

/** A landmark is not moved by less than this, mm. */
const LEAST = 0.3

/** Moves landmarks onto a person's features; one that would cross another stays where it was. */
export function landmarkTool(hand: StageHand): Tool {
  const session = useSession()
  const scene = useScene()
  const { view, fitting, ghosts } = hand
  return {
    ownsPress: true,
    press(touch) {
      if (!fitting.value) return null
      const hit = scene.ground.marks.find(m => near(touch.point, toScreen(view.value, m.at)))
      if (!hit) return panning(hand, touch)
      const from = toPicture(view.value, touch.point)
      ghosts.mark.value = { id: hit.id, at: hit.at }
      return {
        drag({ point }) {
          const [x, y] = toPicture(view.value, point)
          ghosts.mark.value = { id: hit.id, at: [hit.at[0] + x - from[0], hit.at[1] + y - from[1]] }
        },
        release() {
          const { at } = ghosts.mark.value ?? hit
          const dx = at[0] - hit.at[0]
          const dy = at[1] - hit.at[1]
          if (Math.hypot(dx, dy) >= LEAST) session.edit('move a landmark', moveLandmark(hit.id, dx, dy))
        },
      }
    },
  }
}
