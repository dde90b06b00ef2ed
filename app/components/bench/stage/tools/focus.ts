import { useFlow } from '~/stores/flow'
import { useSettings } from '~/stores/settings'
import { toScreen } from '../view'
import { near, type StageHand, type Tool } from './tool'

/** Moves the focal point, while guides are shown. */
export function focusTool({ view, ghosts }: StageHand): Tool {
  const flow = useFlow()
  const settings = useSettings()
  return {
    press({ point, shift }) {
      if (!settings.guides || shift) return null
      const n = flow.all.findIndex(f => near(point, toScreen(view.value, f)))
      if (n < 0) return null
      return {
        drag({ skin }) {
          if (skin) ghosts.focusAt.value = { n, at: skin }
        },
        release() {
          if (ghosts.focusAt.value) flow.moveFocus(n, ghosts.focusAt.value.at)
        },
      }
    },
  }
}
