import { shallowRef, type Ref } from 'vue'
import { tenthPoint, type Point } from '#core/geometry'
import { onSkin } from '#core/skin'
import { usePlacing } from '~/composables/usePlacing'
import { useShaping } from '~/composables/useShaping'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { useSession } from '~/stores/session'
import { useGrip } from './grip'
import { useMoves } from './moves'
import { usePinch } from './pinch'
import { toolsOf, type Ghosts, type StageHand, type Touch } from './tools'
import { toSkin, type View } from './view'

/**
 * A hand that has come down has not moved within this, px: it trembles, and browsers tell of moves where
 * there were none.
 */
const TREMBLE = 3

/** How long the hand must rest in one place to pick the spot there, ms. */
const LONG_MS = 550

/** The stage under the hand. */
export interface HandOn extends Pick<StageHand, 'view' | 'whole' | 'fitting' | 'picking'> {
  readonly holder: Readonly<Ref<HTMLElement | null>>
  readonly view: Ref<View>
}

const noGhosts = (): Ghosts => ({
  preview: shallowRef(null),
  shaped: shallowRef(null),
  focusAt: shallowRef(null),
  loop: shallowRef(null),
  axis: shallowRef(null),
  mark: shallowRef(null),
  about: shallowRef(null),
  snap: shallowRef(null),
})

/** Where a pointer is on the stage, and on the skin there; and what two fingers do. */
function useTouching(holder: HandOn['holder'], on: Pick<HandOn, 'view' | 'whole'>) {
  const at = (event: { clientX: number; clientY: number }): Point => {
    const box = holder.value!.getBoundingClientRect()
    return [event.clientX - box.left, event.clientY - box.top]
  }
  const touchOf = (event: PointerEvent): Touch => {
    const point = at(event)
    const { altKey: alt, shiftKey: shift, ctrlKey: ctrl } = event
    return { point, skin: toSkin(on.view.value, point), alt, shift, ctrl }
  }
  return { at, touchOf, pinch: usePinch(at, on, useTurning()) }
}

/** Picks a spot of the skin and lets go of the selection; beside the skin it only lets go. */
function usePicking() {
  const selection = useSelection()
  const scene = useScene()
  return ({ skin }: Pick<Touch, 'skin'>, picking?: Ref<boolean>): void => {
    if (picking) picking.value = false
    selection.id = null
    selection.spot = skin && onSkin(scene.ground, skin) ? tenthPoint(skin) : null
  }
}

/** How what is in hand is turned; null when nothing is. */
function useTurning() {
  const selection = useSelection()
  const placing = usePlacing()
  const shaping = useShaping()
  return () => (selection.byHandles ? shaping.turn : selection.sheet ? placing.turn : null)
}

/**
 * The hand on the stage: what a press takes hold of, what is shown while it moves, and what comes of it when
 * it lets go.
 */
export function useHand({ holder, ...on }: HandOn) {
  const session = useSession()
  const ghosts = noGhosts()
  let down: Point = [0, 0]
  let moved = false
  let long: ReturnType<typeof setTimeout> | undefined

  const pickAt = usePicking()
  const grip = useGrip(toolsOf({ ...on, ghosts, pickAt }), ghosts)
  const { at, touchOf, pinch } = useTouching(holder, on)

  function press(event: PointerEvent): void {
    if (!session.look || event.button !== 0) return
    if (pinch.press(event)) return letGo()
    const touch = touchOf(event)
    holder.value!.setPointerCapture(event.pointerId)
    down = touch.point
    moved = false
    clearTimeout(long)
    const { held, ownsPress } = grip.take(touch)
    if (held && !ownsPress) long = setTimeout(() => rest(touch), LONG_MS)
  }
  /** The hand has rested in one place. */
  function rest(touch: Touch): void {
    if (!grip.held() || ghosts.preview.value || ghosts.shaped.value) return
    letGo()
    pickAt(touch)
  }

  function drag(event: PointerEvent): void {
    if (pinch.drag(event) || !grip.held()) return
    const touch = touchOf(event)
    const [x, y] = touch.point
    if (!moved && Math.hypot(x - down[0], y - down[1]) < TREMBLE) return
    moved = true
    clearTimeout(long)
    grip.carry(touch)
  }

  function release(event: PointerEvent): void {
    if (pinch.release(event) || !grip.held()) return
    const touch = touchOf(event)
    if (moved || !touch.alt || grip.ownsAlt()) grip.put(touch, !moved)
    else pickAt(touch, on.picking)
    letGo()
  }

  function letGo(): void {
    clearTimeout(long)
    grip.letGo()
  }
  const cancel = (event: PointerEvent): void => {
    pinch.release(event)
    letGo()
  }
  return { at, ghosts, grip, press, drag: useMoves(holder, drag), release, cancel }
}
