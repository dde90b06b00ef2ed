import { transfer } from 'comlink'
import type { Box } from '#core/geometry'
import type { Look, Step, World } from '#core/look'
import { IncrementalCompositor, type BareSkinCache } from '#core/raster'
import { cropped } from './compared'
import type { Picture } from './picture'

/** What the job needs of the painting worker. */
interface Workshop {
  readonly worldOf: (look: Look) => World
  readonly bares: BareSkinCache
  readonly keyOfSteps: (look: Look, world: World) => (step: Step) => string
}

/** The job of samples that the painting worker does. */
export const samplesJob = ({ worldOf, bares, keyOfSteps }: Workshop) => ({
  /**
   * Samples on one skin, each as a picture of the place that is seen; the skin is painted once.
   * @param looks of one canvas and one skin
   */
  samples(looks: readonly Look[], seen: Box, pxPerMm: number): Picture[] {
    const [first] = looks
    if (!first) return []
    const bare = bares.of(first, worldOf(first).ground, pxPerMm)
    const painting = new IncrementalCompositor(bare, true)
    const pictures = looks.map(look => {
      const world = worldOf(look)
      // Nothing is asked between its steps: they are only painted.
      for (const _ of painting.toward(look.steps, world, keyOfSteps(look, world)));
      return cropped(painting.whole(), bare, seen)
    })
    return transfer(
      pictures,
      pictures.map(p => p.rgba.buffer),
    )
  },
})
