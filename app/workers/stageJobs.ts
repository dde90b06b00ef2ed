import { transfer } from 'comlink'
import type { Box } from '#core/geometry'
import { checkWork, groundFor, type Look, type Step, type World } from '#core/look'
import type { Memo } from '#core/memo'
import type { LightId } from '#core/paint'
import type { BareSkinCache } from '#core/raster'
import type { KeptHeads } from './keptHeads'
import { StagePicture, type Update } from './stagePicture'

/** What the jobs of the stage need of the painting worker. */
interface Workshop {
  readonly worldOf: (look: Look) => World
  readonly bares: BareSkinCache
  readonly heads: KeptHeads
  readonly memo: Memo
  readonly keyOfSteps: (look: Look, world: World) => (step: Step) => string
  readonly pause: () => Promise<void>
}

/** An answer with its pixels handed over. */
const sent = (answer: Update | null): Update | null =>
  answer?.patch ? transfer(answer, [answer.patch.rgba.buffer]) : answer

/** The jobs of the stage that the painting worker does: the whole picture, and what is seen of it from near. */
export function stageJobs({ worldOf, bares, heads, memo, keyOfSteps, pause }: Workshop) {
  const stage = new StagePicture(bares, pause)
  const near = new StagePicture(bares, pause, false)
  return {
    /** Gets the bare skin of a look ready, while its sheets are still on their way. */
    async ready(look: Look, pxPerMm: number): Promise<void> {
      const ground = groundFor(look, memo)
      await heads.fetch(bares, look, ground, pxPerMm)
      bares.of(look, ground, pxPerMm)
    },
    /** Brings the stage's picture to a look; see StagePicture. */
    async update(
      look: Look,
      pxPerMm: number,
      upTo: number | undefined,
      have: number | null,
      light: LightId,
    ): Promise<Update | null> {
      const world = worldOf(look)
      checkWork(look.steps, world)
      const wish = { look, world, pxPerMm, light, upTo: upTo ?? look.steps.length, have }
      const keyOf = keyOfSteps(look, world)
      // Only heads under the stall's lamp are kept on the device.
      if (light !== 'lamp') return sent(await stage.update(wish, keyOf))
      const answer = await stage.update(wish, keyOf, () => heads.fetch(bares, look, world.ground, pxPerMm))
      void heads.keep(bares, look, world.ground, pxPerMm)
      return sent(answer)
    },
    /** The same of a part that is seen from near. */
    async updateNear(
      look: Look,
      pxPerMm: number,
      box: Box,
      upTo: number | undefined,
      have: number | null,
      light: LightId,
    ): Promise<Update | null> {
      const world = worldOf(look)
      checkWork(look.steps, world)
      const wish = { look, world, pxPerMm, box, light, upTo: upTo ?? look.steps.length, have }
      return sent(await near.update(wish, keyOfSteps(look, world)))
    },
    /** Nobody waits for such a part any more. */
    noNear(): void {
      near.giveUp()
    },
  }
}
