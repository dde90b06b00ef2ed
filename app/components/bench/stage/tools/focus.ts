import { useFlow } from '~/stores/flow'
import { useSession } from '~/stores/session'
import { useSettings } from '~/stores/settings'
import { toScreen } from '../view'
import { near, type StageHand, type Tool } from './tool'

/** Moves the focal point, while guides are shown. */
export function focusTool({ view, ghosts }: StageHand): Tool {
  const session = useSession()
  const flow = useFlow()
  const settings = useSettings()
  return {
    press({ point, shift }) {
      const { focus } = session.look!
      if (!settings.guides || shift || !near(point, toScreen(view.value, focus))) return null
      return {
        drag({ skin }) {
          if (skin) ghosts.focusAt.value = skin
        },
        release() {
          if (ghosts.focusAt.value) flow.moveFocus(ghosts.focusAt.value)
        },
      }
    },
  }
}
