import { transfer } from 'comlink'
import { checkWork, type Look, type World } from '#core/look'
import {
  expressed,
  finishedPicture,
  printSteps,
  strainedBy,
  strainWords,
  type Bare,
  type BareSkinCache,
} from '#core/raster'
import { EXPRESSIONS } from '#core/skin'
import type { Picture } from './picture'

/** A look as the face moves: the picture, and what becomes of its steps there. */
export interface MovedLook {
  readonly words: string
  readonly picture: Picture
  /** Null where nothing moves. */
  readonly sentences: readonly string[] | null
}

/** What the job needs of the painting worker. */
interface Workshop {
  readonly worldOf: (look: Look) => World
  readonly bares: BareSkinCache
  readonly pause: () => Promise<void>
}

/** The job that shows a look on a face that moves. */
export function movingJob({ worldOf, bares, pause }: Workshop) {
  const pictureOf = (rgba: Uint8ClampedArray<ArrayBuffer>, { head: { grid } }: Bare): Picture => ({
    rgba,
    width: grid.width,
    height: grid.height,
  })
  const painted = (look: Look, bare: Bare, world: World) =>
    finishedPicture(bare.head, printSteps(bare.head, look.steps, world, bare.grain))

  return {
    /** A look calm, in each expression, and with the eyes closed; each is told as soon as it is there. */
    async moved(look: Look, pxPerMm: number, onMoved: (one: MovedLook) => void): Promise<void> {
      const calm: Look = { ...look, skin: { ...look.skin, eyes: 'open' } }
      const world = worldOf(calm)
      checkWork(calm.steps, world)
      const tell = async (words: string, picture: Picture, sentences: readonly string[] | null) => {
        const one = { words, picture, sentences }
        onMoved(transfer(one, [picture.rgba.buffer]))
        await pause()
      }
      const bare = bares.of(calm, world.ground, pxPerMm)
      const rgba = painted(calm, bare, world)
      await tell('calm', pictureOf(rgba.slice(), bare), null)
      const coarse = bares.of(calm, world.ground, 1).head
      for (const expression of EXPRESSIONS) {
        const strained = strainedBy(expression, calm.steps, world, coarse)
        const sentences = strained.map(s =>
          strainWords(
            s,
            calm.steps.find(step => step.id === s.stepId)!,
          ),
        )
        const picture = expressed(rgba, bare.head, world.ground, expression)
        await tell(expression, pictureOf(picture, bare), sentences)
      }
      const shut: Look = { ...look, skin: { ...look.skin, eyes: 'closed' } }
      const asleep = worldOf(shut)
      const closed = bares.of(shut, asleep.ground, pxPerMm)
      await tell('eyes closed', pictureOf(painted(shut, closed, asleep), closed), null)
    },
  }
}
