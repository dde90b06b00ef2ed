import { refDebounced } from '@vueuse/core'
import { computed, shallowRef, type Ref } from 'vue'
import type { Look } from '#core/look'
import { usePainter } from '~/composables/usePainter'
import { useScene } from '~/stores/scene'
import { useSettings } from '~/stores/settings'
import { useMiddle, type NearPicture } from './middle'
import { patched } from './standing'
import { nearOf, serves, type Near, type View } from './view'

/** A view that moves asks for nothing until it has stood for so long, ms. */
const STANDS_MS = 140
/** What is seen from near always takes so long, ms, that its middle is worth it. */
const MIDDLE_AFTER_MS = 100

/** What the near picture follows from. */
export interface NearWish {
  readonly view: Readonly<Ref<View>>
  readonly size: () => readonly [number, number]
  /** Fineness of the whole picture, px/mm. */
  readonly fineness: Readonly<Ref<number>>
}

/**
 * Zoomed in, what is seen is painted finer than the whole picture, and only that: the whole stays beneath it for
 * where the view goes next.
 */
export function useNearPicture({ view, size, fineness }: NearWish) {
  const scene = useScene()
  const painter = usePainter()
  const settings = useSettings()
  const standing = shallowRef<NearPicture | null>(null)
  const middle = useMiddle(MIDDLE_AFTER_MS)
  let have: number | null = null
  let painting: Near | null = null
  const asked = computed(() =>
    nearOf(
      view.value,
      size(),
      { box: scene.ground.box, fineness: fineness.value },
      window.devicePixelRatio || 1,
    ),
  )
  const stands = refDebounced(asked, STANDS_MS)
  /** What is to be painted now; the same object as long as that serves. */
  const wish = computed<Near | null>(before => {
    const next = stands.value
    return next && before && serves(before, next) ? before : next
  })
  /** Seen whole, nothing of it is shown; seen from near again at once, it is there still. */
  const shown = computed(() => (asked.value ? standing.value : null))
  const shownMiddle = computed(() => (asked.value ? middle.standing.value : null))

  /** Paints what is seen from near of a look; done at once where nothing is. */
  async function paint(look: Look, steps: number | undefined): Promise<void> {
    const near = wish.value
    if (!near) return void (standing.value = null)
    // A picture of another place is no base for a patch.
    if (painting !== near) [painting, have] = [near, null]
    const { fineness: fine, seen } = near
    const asking = painter.updateNear(look, fine, near.painted, steps, have, settings.light)
    const answer = await (have === null
      ? middle.before({ look, steps, fineness: fine, seen }, asking)
      : asking)
    if (!answer || wish.value !== near) return
    have = answer.picture
    const canvas = patched(standing.value?.of === near ? standing.value.canvas : null, answer)
    standing.value = { canvas, box: near.painted, of: near }
  }
  return { near: shown, middle: shownMiddle, wish, paint }
}
