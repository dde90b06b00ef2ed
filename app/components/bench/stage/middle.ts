import { shallowRef } from 'vue'
import type { Box } from '#core/geometry'
import type { Look } from '#core/look'
import { usePainter } from '~/composables/usePainter'
import { useScene } from '~/stores/scene'
import { useSettings } from '~/stores/settings'
import { patched, type StandingPicture } from './standing'
import { middleOf, type Near } from './view'

/** A part of the picture as it stands on the stage, beside what was wished for. */
export interface NearPicture extends StandingPicture {
  readonly of: Near
}

/** A painting that is on its way. */
interface Painting {
  readonly look: Look
  /** How many of its steps; all when left out. */
  readonly steps: number | undefined
  /** px/mm. */
  readonly fineness: number
  /** What is seen of it, mm. */
  readonly seen: Readonly<Box>
}

/**
 * The middle of what is seen, where the painter looks: painted by itself by a second worker while all of it takes
 * long, and shown until that stands.
 * @param after how long all of it is waited for alone, ms: a second worker that paints makes the first slower
 */
export function useMiddle(after: number) {
  const painter = usePainter()
  const scene = useScene()
  const settings = useSettings()
  const standing = shallowRef<NearPicture | null>(null)
  let newest = 0

  /** @param stale whether something newer is painted, or all of it stands by now */
  async function paint({ look, steps, fineness, seen }: Painting, stale: () => boolean): Promise<void> {
    const near = middleOf(seen, { box: scene.ground.box, fineness })
    const answer = await painter.updateMiddle(look, fineness, near.painted, steps, settings.light)
    if (answer && !stale()) standing.value = { canvas: patched(null, answer), box: near.painted, of: near }
  }

  /** What a painting gives; its middle stands before it where it is long in coming. */
  async function before<T>(painting: Painting, all: Promise<T>): Promise<T> {
    const mine = ++newest
    const stale = () => mine !== newest
    let begun = false
    const late = setTimeout(() => {
      begun = true
      // What goes wrong is told by all of it.
      void paint(painting, stale).catch(() => {})
    }, after)
    try {
      return await all
    } finally {
      clearTimeout(late)
      if (!stale()) {
        newest++
        standing.value = null
        if (begun) void painter.noMiddle().catch(() => {})
      }
    }
  }
  return { standing, before }
}
