import { EYE_CLEARANCE } from '#core/checks'
import { gemsAtEyeCorners, gemsOnDots, gemsOnMidline, ofKind } from '#core/look'

/** Places where painters put gems. */
export type GemPlace = 'midline' | 'eye corners' | 'dots'

/** Puts the gems of the selected step where painters put them. */
export function useGems() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const notices = useNotices()
  function place(where: GemPlace): void {
    const { id } = selection
    const { face } = scene.ground
    if (id === null) return
    if (where === 'midline') return void session.edit('gem on the midline', gemsOnMidline(id))
    if (where === 'eye corners') {
      if (face) session.edit('gems at the eye corners', gemsAtEyeCorners(id, face, EYE_CLEARANCE))
      return
    }
    const run = ofKind('dots', session.look!.steps).at(-1)
    if (!run) return notices.refuse('There are no dots yet to set gems on.')
    session.edit('gems on the dots', gemsOnDots(id, run, scene.world))
  }
  return { place }
}
