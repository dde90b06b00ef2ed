import { shallowRef, type Ref } from 'vue'
import { tenthPoint, type Point } from '#core/geometry'
import { onSkin } from '#core/skin'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { useSession } from '~/stores/session'
import { toolsOf, type Ghosts, type Grip, type StageHand, type Tool, type Touch } from './tools'
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
  snap: shallowRef(null),
})

/** Where a pointer is on the stage, and on the skin there. */
function touching(holder: HandOn['holder'], view: Ref<View>) {
  const at = (event: { clientX: number; clientY: number }): Point => {
    const box = holder.value!.getBoundingClientRect()
    return [event.clientX - box.left, event.clientY - box.top]
  }
  const touchOf = (event: PointerEvent): Touch => {
    const point = at(event)
    const { altKey: alt, shiftKey: shift, ctrlKey: ctrl } = event
    return { point, skin: toSkin(view.value, point), alt, shift, ctrl }
  }
  return { at, touchOf }
}

/** Picks a spot of the skin and lets go of the selection; beside the skin it only lets go. */
function usePicking() {
  const selection = useSelection()
  const scene = useScene()
  return ({ skin }: Pick<Touch, 'skin'>): void => {
    selection.id = null
    selection.spot = skin && onSkin(scene.ground, skin) ? tenthPoint(skin) : null
  }
}

/** What the first tool that takes a press takes hold of. */
function takenUp(tools: readonly Tool[], touch: Touch): { grip: Grip | null; ownsPress: boolean } {
  for (const { press, ownsPress = false } of tools) {
    const taken = press(touch)
    if (taken) return { grip: taken === 'done' ? null : taken, ownsPress }
  }
  return { grip: null, ownsPress: false }
}

/**
 * The hand on the stage: what a press takes hold of, what is shown while it moves, and what comes of it when
 * it lets go.
 */
export function useHand({ holder, ...on }: HandOn) {
  const session = useSession()
  const ghosts = noGhosts()
  let grip: Grip | null = null
  let down: Point = [0, 0]
  let moved = false
  let long: ReturnType<typeof setTimeout> | undefined

  const pickAt = usePicking()
  const tools = toolsOf({ ...on, ghosts, pickAt })

  const { at, touchOf } = touching(holder, on.view)

  function press(event: PointerEvent): void {
    if (!session.look || event.button !== 0) return
    const touch = touchOf(event)
    holder.value!.setPointerCapture(event.pointerId)
    down = touch.point
    moved = false
    clearTimeout(long)
    const taken = takenUp(tools, touch)
    grip = taken.grip
    if (grip && !taken.ownsPress) long = setTimeout(() => rest(touch), LONG_MS)
  }
  /** The hand has rested in one place. */
  function rest(touch: Touch): void {
    if (!grip || ghosts.preview.value || ghosts.shaped.value) return
    letGo()
    pickAt(touch)
  }

  function drag(event: PointerEvent): void {
    if (!grip) return
    const touch = touchOf(event)
    const [x, y] = touch.point
    if (!moved && Math.hypot(x - down[0], y - down[1]) < TREMBLE) return
    moved = true
    clearTimeout(long)
    grip.drag?.(touch)
  }

  function release(event: PointerEvent): void {
    const done = grip
    if (!done) return
    const touch = touchOf(event)
    if (!moved && touch.alt && !done.ownsAlt) {
      on.picking.value = false
      pickAt(touch)
    } else done.release?.(touch, !moved)
    letGo()
  }

  /** The hand lets go; nothing is shown any more. */
  function letGo(): void {
    clearTimeout(long)
    grip = null
    for (const ghost of Object.values(ghosts)) ghost.value = null
  }
  return { at, ghosts, press, drag, release, letGo }
}
