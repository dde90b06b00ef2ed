import { wrap, type Remote } from 'comlink'
import type { LookRecord } from '~~/server/db/looks'
import type { Painter } from '~/workers/painter'
import { MOST_HEADS } from '~/workers/mostHeads'

/** As many looks are gone through: several may be of one head. */
const MOST_LOOKS = 3 * MOST_HEADS
/** How long the one who waits in the gallery is left alone first, ms. */
const AFTER_MS = 600

/**
 * Draws the bare heads of some looks while nobody waits, and keeps them on this device, so that a look opens at
 * once. It has a worker of its own: whoever opens a look meanwhile never waits for it.
 * @param ids looks, those that are opened soonest first
 * @returns gives it up
 */
export function drawHeadsAhead(ids: readonly string[]): () => void {
  let worker: Worker | null = null
  let given = false
  const end = () => {
    given = true
    clearTimeout(timer)
    worker?.terminate()
    worker = null
  }
  async function draw(): Promise<void> {
    const stage = stageToCome()
    const fine = window.devicePixelRatio || 1
    const drawn = new Set<string>()
    for (const id of ids.slice(0, MOST_LOOKS)) {
      // A look that cannot be read, or is gone by now, is told of where it is opened.
      const record = await $fetch<LookRecord>(`/api/looks/${id}`).catch(() => null)
      if (given) return
      if (!record) continue
      if (drawn.size === MOST_HEADS) return
      drawn.add(JSON.stringify([record.look.canvas, record.look.skin]))
      worker ??= makePainter()
      const painter: Remote<Painter> = wrap<Painter>(worker)
      await painter.ahead(record.look, stage, fine)
    }
  }
  const timer = setTimeout(() => {
    // What cannot be drawn ahead is drawn when its look is opened, and told then.
    void draw().then(end, end)
  }, AFTER_MS)
  return end
}
