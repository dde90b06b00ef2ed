import {
  aimed,
  aimSteps,
  flipped,
  focusFor,
  letGo,
  ofKind,
  placeSheet,
  registerOn,
  shifted,
  turned,
  type Place,
  type RegisterWay,
} from '#core/look'

/** Moving the sheet that is selected. */
export function usePlacing() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const notices = useNotices()

  /**
   * Changes where the selected sheet lies, or its unlinked twin when that is held. A sheet moved by hand is
   * let go of its register;
   * a place off the skin is refused with a sentence.
   */
  function place(label: string, recipe: (place: Place) => void, merge: string | null = null): void {
    const step = selection.sheet
    if (!step) return
    const twin = selection.holdsTwin && step.twin.own !== null
    const command = placeSheet(step, twin, recipe, scene.world)
    const key = merge === null ? null : `${merge}-${twin ? 'twin' : 'own'}-${step.id}`
    if (session.edit(label, command, key) && step.register && !twin)
      notices.tell('No longer held in register; undo brings it back.')
  }
  const nudge = (dx: number, dy: number) => place('move', shifted(dx, dy), 'move')
  const turn = (by: number) => place('turn', turned(by), 'turn')
  const flip = () => place('flip over', flipped)

  /** Registers the selected sheet on another step's, or lets it go. */
  function register(on: string | null, way: RegisterWay): void {
    const step = selection.sheet
    const host = ofKind('sheet', session.look!.steps).find(s => s.id === on)
    if (!step) return
    if (host) session.edit('register', registerOn(step, host, way, scene.world))
    else session.edit('let go of the register', letGo(step.id))
  }

  /** Turns all that is selected so that each points at the focal point. */
  function aim(): void {
    const { ids, sheet } = selection
    if (ids.size === 1 && sheet)
      return place('aim', aimed(sheet, focusFor(session.look!, sheet.at), scene.world))
    session.edit(ids.size > 1 ? `aim ${ids.size} steps` : 'aim', aimSteps(ids, scene.world))
  }
  /** Selects steps and turns each of them to the focal point. */
  function aimThese(ids: readonly string[]): void {
    if (!ids.length) return
    selection.take(ids)
    session.edit(ids.length > 1 ? `aim ${ids.length} steps` : 'aim', aimSteps(new Set(ids), scene.world))
  }
  return { place, nudge, turn, flip, register, aim, aimThese }
}
