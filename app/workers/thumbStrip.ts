import type { Look, Step, World } from '#core/look'
import { IncrementalCompositor, type Bare } from '#core/raster'
import type { Picture } from './painter'

/**
 * Small pictures of a look's build from a number on: the bare skin is number 0, then one after each step.
 * Those before are as they were in the strip that the page has.
 */
export interface Thumbs {
  readonly strip: number
  readonly from: number
  readonly pictures: Picture[]
}

/** The small pictures of the build, painted anew only from the changed step on. */
export class ThumbStrip {
  private kept: { key: string; painting: IncrementalCompositor; pictures: Picture[]; keys: string[] } | null =
    null
  private strip = 0
  private newest = 0

  /** @param pause lets messages that wait come in */
  constructor(private readonly pause: () => Promise<void>) {}

  /**
   * Brings the strip to a look; null when a newer one was asked for meanwhile.
   * @param ground what the bare skin depends on, as text
   * @param have the number of the strip that the page has; null when it has none
   * @param keyOf what a step's print depends on, as text
   */
  async update(
    { steps }: Look,
    world: World,
    bare: Bare,
    ground: string,
    have: number | null,
    keyOf: (step: Step) => string,
  ): Promise<Thumbs | null> {
    const mine = ++this.newest
    const { width, height } = bare.head.grid
    const picture = (painting: IncrementalCompositor): Picture => ({ rgba: painting.whole(), width, height })
    if (this.kept?.key !== ground) {
      const painting = new IncrementalCompositor(bare)
      this.kept = { key: ground, painting, pictures: [picture(painting)], keys: [] }
    }
    const { painting, pictures, keys } = this.kept
    const wanted = steps.map(keyOf)
    let same = 0
    while (same < wanted.length && same < keys.length && wanted[same] === keys[same]) same++
    // What the page has is of the strip before this one; any other gets all of it.
    const from = have !== null && have === this.strip ? same + 1 : 0
    keys.length = same
    pictures.length = same + 1
    const number = ++this.strip
    for (const step of painting.toward(steps, world, keyOf)) {
      pictures.push(picture(painting))
      keys.push(keyOf(step))
      await this.pause()
      if (mine !== this.newest) return null
    }
    return { strip: number, from, pictures: pictures.slice(from).map(p => ({ ...p, rgba: p.rgba.slice() })) }
  }
}
