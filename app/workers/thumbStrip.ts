import type { Look, Step, World } from '#core/look'
import { IncrementalCompositor, type Bare } from '#core/raster'
import type { Picture } from './picture'

/**
 * Small pictures of a look's build from a number on: the bare skin is number 0, then one after each step.
 * Those before are as they were in the strip that the page has.
 */
export interface Thumbs {
  readonly strip: number
  readonly from: number
  readonly pictures: Picture[]
}

/** What a strip is painted on. */
export interface StripGround {
  readonly world: World
  readonly bare: Bare
}

/** The small pictures of the build, painted anew only from the changed step on. */
export class ThumbStrip {
  private kept: {
    key: string
    painting: IncrementalCompositor
    /** The same with the eyes shut; null where no step asks for that. */
    shut: IncrementalCompositor | null
    pictures: Picture[]
    keys: string[]
  } | null = null
  private strip = 0
  private newest = 0

  /** @param pause lets messages that wait come in */
  constructor(private readonly pause: () => Promise<void>) {}

  /**
   * Brings the strip to a look; null when a newer one was asked for meanwhile. A step that is painted while the
   * eyes are shut is shown with the lids closed.
   * @param shut the same face with its eyes shut; null where no step asks for that
   * @param ground what the bare skin depends on, as text
   * @param have the number of the strip that the page has; null when it has none
   * @param keyOf what a step's print depends on, as text
   */
  async update(
    { steps }: Look,
    { world, bare }: StripGround,
    shut: StripGround | null,
    ground: string,
    have: number | null,
    keyOf: (step: Step) => string,
  ): Promise<Thumbs | null> {
    const mine = ++this.newest
    const { width, height } = bare.head.grid
    const picture = (painting: IncrementalCompositor): Picture => ({ rgba: painting.whole(), width, height })
    if (this.kept?.key !== ground) {
      const painting = new IncrementalCompositor(bare)
      this.kept = { key: ground, painting, shut: null, pictures: [picture(painting)], keys: [] }
    }
    const { kept } = this
    const { painting, pictures, keys } = kept
    kept.shut = shut && (kept.shut ?? new IncrementalCompositor(shut.bare))
    /** The picture after a step; with the lids closed where they are while it is painted. */
    const after = (step: Step, n: number): Picture => {
      if (step.eyes !== 'shut' || !shut || !kept.shut) return picture(painting)
      for (const _ of kept.shut.toward(steps.slice(0, n + 1), shut.world, keyOf)) void _
      return picture(kept.shut)
    }
    const wanted = steps.map(keyOf)
    let same = 0
    while (same < wanted.length && same < keys.length && wanted[same] === keys[same]) same++
    // What the page has is of the strip before this one; any other gets all of it.
    const from = have !== null && have === this.strip ? same + 1 : 0
    keys.length = same
    pictures.length = same + 1
    const number = ++this.strip
    for (const step of painting.toward(steps, world, keyOf, true)) {
      // From where on it is laid anew is for the painting to say: it may begin before the first change.
      const n = steps.indexOf(step)
      pictures[n + 1] = after(step, n)
      keys[n] = wanted[n]!
      await this.pause()
      if (mine !== this.newest) return null
    }
    return { strip: number, from, pictures: pictures.slice(from).map(p => ({ ...p, rgba: p.rgba.slice() })) }
  }
}
