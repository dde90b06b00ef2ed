import type { Point } from '#core/geometry'
import { moveHalfTurn } from '#core/look'
import { useSelection } from '~/stores/selection'
import { useSession } from '~/stores/session'
import { toScreen } from '../view'
import { near, type StageHand, type Tool } from './tool'

/** The point about which the selected step's twin is turned by half a turn; null where it is not. */
export function useHalfTurn(): () => Point | null {
  const selection = useSelection()
  return () =>
    selection.step?.twin.rule === 'turn' && selection.steps.length === 1
      ? (selection.step.twin.about ?? [0, 0])
      : null
}

/** Moves the point about which the selected step's twin is turned. */
export function halfTurnTool({ view, ghosts }: StageHand): Tool {
  const session = useSession()
  const selection = useSelection()
  const about = useHalfTurn()
  return {
    press({ point }) {
      const at = about()
      const id = selection.id
      if (!at || id === null || !near(point, toScreen(view.value, at))) return null
      return {
        ownsAlt: true,
        drag({ skin }) {
          if (skin) ghosts.about.value = skin
        },
        release() {
          const to = ghosts.about.value
          if (to) session.edit('move the centre of the half turn', moveHalfTurn(id, to))
        },
      }
    },
  }
}
