import { nanoid } from 'nanoid'
import { freeTwin, linkTwin, setTwin, twinByEye, type TwinRule } from '#core/look'

/** The twin of the selected step. */
export function useTwins() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const ways = useWays()

  /** The rule that places the twin; a twin of its own place goes back to it. */
  function set(rule: TwinRule): void {
    const { step } = selection
    if (!step) return
    if (!session.edit('twin', setTwin(plain(step), rule, session.look!.focus, scene.world))) return
    selection.holdsTwin = false
    // By eye it goes nearly there, and is the painter's to place.
    const sheet = selection.sheet
    if (ways.now.symmetry === 'byEye' && rule !== 'none' && rule !== 'turn' && sheet && !sheet.register)
      session.edit('twin by eye', twinByEye(plain(sheet), scene.world))
  }
  /** A twin by the painter's usual rule, or single again. */
  const toggle = () => set(selection.step?.twin.rule === 'none' ? ways.twinRule(scene.ground) : 'none')
  /** Lets the twin of a sheet go its own way from where it lies, or links it to its rule again. */
  function link(linked: boolean): void {
    const step = selection.sheet
    if (!step || step.register) return
    session.edit(linked ? 'link the twin' : 'unlink the twin', linkTwin(step, linked, scene.world))
    selection.holdsTwin = !linked
  }
  /** Makes the twin of brushwork a step of its own, to be shaped by itself. */
  function free(): void {
    const step = selection.mark
    if (step) session.edit('free the twin', freeTwin(plain(step), nanoid(10), scene.world))
  }
  return { set, toggle, link, free }
}
