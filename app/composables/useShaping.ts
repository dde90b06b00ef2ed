import type { Point } from '#core/geometry'
import {
  dabMore,
  drawOutline,
  dropHandle,
  fewerHandles,
  flipSteps,
  insertHandle,
  moreHandles,
  moveHandle,
  shiftSteps,
  turnSteps,
  type Command,
} from '#core/look'

/** Moving what is selected by its handles, all together, and the handles of one step. */
export function useShaping() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  /** A change of the step in hand, when it has handles. */
  const onHeld = (label: string, command: (id: string) => Command): void => {
    if (selection.mark) session.edit(label, command(selection.mark.id))
  }
  return {
    shift: (dx: number, dy: number) =>
      session.edit('move', shiftSteps(selection.ids, dx, dy, scene.ground), `shift-${selection.id}`),
    turn: (by: number) =>
      session.edit('turn', turnSteps(selection.ids, by, scene.world), `turn-${selection.id}`),
    /** Turns over what is selected, sheets and brushwork together. */
    flip: () => {
      const { ids } = selection
      const label = ids.size > 1 ? `flip ${ids.size} steps over` : 'flip over'
      session.edit(label, flipSteps(ids, session.look!.focus, scene.world))
    },
    moveHandle: (n: number, at: Point) => onHeld('move a handle', id => moveHandle(id, n, at, scene.ground)),
    insertHandle: (after: number, at: Point | null = null) =>
      onHeld('one more handle', id => insertHandle(id, after, at, scene.ground)),
    dropHandle: (n: number) => onHeld('one handle less', id => dropHandle(id, n, scene.ground)),
    moreHandles: () => onHeld('one more handle', id => moreHandles(id, scene.ground)),
    fewerHandles: () => onHeld('one handle less', id => fewerHandles(id, scene.ground)),
    drawOutline: () => onHeld('draw its outline', id => drawOutline(id, scene.ground)),
    /** One more dab of the selected step, or one less. */
    dab: (by: number) => session.edit('dabs', dabMore(selection.id, by), `dabs-${selection.id}`),
  }
}
