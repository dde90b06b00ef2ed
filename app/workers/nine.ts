import type { Box } from '#core/geometry'
import {
  alternativesAt,
  alternativesTo,
  featuresOf,
  nextBest,
  NINE,
  kindOf,
  showsOf,
  withAlternative,
  type Alternative,
  type Look,
  type Shows,
  type Step,
  type World,
} from '#core/look'
import { linearOf, type Paint } from '#core/paint'
import { differingShare, IncrementalCompositor, type Bare } from '#core/raster'
import type { Fit } from '#core/stencil'
import { cropped } from './compared'
import type { Picture } from './picture'

/** What nine alternatives are asked for. */
export interface NineWish {
  readonly look: Look
  /** The step whose place they could take; null for an empty spot. */
  readonly stepId: string | null
  /** The place that is seen, as a box of the skin, mm. */
  readonly place: Box
  readonly pinned: readonly Alternative[]
  /** Keys of those that were shown already. */
  readonly seen: readonly string[]
  readonly pxPerMm: number
}

/** One of nine, painted where it would lie. */
export interface OneOfNine {
  readonly alternative: Alternative
  readonly picture: Picture
  readonly shows: Shows | null
}

/** What is told of all of them once they are painted. */
export interface NineTold {
  readonly count: number
  /** Share of the pixels in which the two that are most alike differ, 0 to 1; null for fewer than two. */
  readonly leastApart: number | null
}

/** What the job needs of the painting worker. */
interface Workshop {
  readonly worldOf: (look: Look) => World
  readonly kit: () => readonly Paint[]
  readonly bareOf: (look: Look, world: World, pxPerMm: number) => Promise<Bare>
  readonly keyOfSteps: (look: Look, world: World) => (step: Step) => string
  readonly pause: () => Promise<void>
}

/** At least so much of the face is seen round an alternative, mm. */
const LEAST_SEEN = 96

/** A box that has at least some width and height, about its middle. */
function atLeast({ minX, minY, maxX, maxY }: Box, least: number): Box {
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2]
  const w = Math.max(least, maxX - minX) / 2
  const h = Math.max(least, maxY - minY) / 2
  return { minX: x - w, minY: y - h, maxX: x + w, maxY: y + h }
}

/** Share of the pixels in which the two pictures that are most alike differ. */
function leastApart(pictures: readonly Picture[]): number | null {
  const shares = pictures.flatMap((a, i) => pictures.slice(i + 1).map(b => differingShare(a.rgba, b.rgba)))
  return shares.length ? Math.min(...shares) : null
}

/** The painting of a look in which one step is tried in other ways: what lies beneath it is painted once. */
class Trying {
  private readonly painting: IncrementalCompositor

  constructor(
    private readonly look: Look,
    private readonly shop: Workshop,
    bare: Bare,
  ) {
    this.painting = new IncrementalCompositor(bare, true)
  }

  /** Paints the look with some steps; returns how one of them shows. */
  paint(steps: Step[], of: string): Shows | null {
    const look = { ...this.look, steps }
    const world = this.shop.worldOf(look)
    let found: Shows | null = null
    for (const step of this.painting.toward(steps, world, this.shop.keyOfSteps(look, world))) {
      const pairs = this.painting.compared()
      if (step.id === of && pairs.length) found = showsOf(of, pairs, kindOf(step).judgedAt)
    }
    return found
  }
  whole = () => this.painting.whole()
}

/** Two pictures that differ in less than this share of their pixels are the same to the eye (common practice). */
const ALIKE = 0.004
/** As many come before the stencils that fit are known: they take a moment to be found. */
const BEFORE_FITS = 4

/** The pictures that stand already: none that is like one of them is shown. */
class Standing {
  readonly alternatives: Alternative[] = []
  private readonly pictures: Picture[]

  /** @param before the place as it is now; null where there is nothing yet */
  constructor(private readonly before: Picture | null) {
    this.pictures = []
  }
  /** Takes one in, unless it looks like what is there or like another; returns whether it did. */
  takes(alternative: Alternative, picture: Picture): boolean {
    const others = [...(this.before ? [this.before] : []), ...this.pictures]
    if (others.some(p => differingShare(p.rgba, picture.rgba) < ALIKE)) return false
    this.alternatives.push(alternative)
    this.pictures.push(picture)
    return true
  }
  get leastApart(): number | null {
    return leastApart(this.pictures)
  }
}

/** The job of nine alternatives that the painting worker does. */
export function nineJob(shop: Workshop) {
  let asked = 0
  return {
    /** Gives up the nine that are being painted. */
    noNine(): void {
      asked++
    },
    /**
     * Nine alternatives to a step, or for an empty spot: chosen by how they fit, show and flow and by how they
     * differ, and painted one after the other. Those that look like another one are passed over. Done when the
     * last of them was heard.
     * @param fitting the stencils that fit there, best first, once they are found
     * @param onPainted hears of each
     */
    async nine(
      { look, stepId, place, pinned, seen, pxPerMm }: NineWish,
      fitting: () => Promise<Fit[]>,
      onPainted: (one: OneOfNine) => void | Promise<void>,
    ): Promise<NineTold> {
      const mine = ++asked
      const world = shop.worldOf(look)
      const bare = await shop.bareOf(look, world, pxPerMm)
      const trying = new Trying(look, shop, bare)
      const step = look.steps.find(s => s.id === stepId) ?? null
      const beneath = trying.paint([...look.steps], step?.id ?? '')?.beneath ?? linearOf(look.skin.colour)
      const box = atLeast(place, LEAST_SEEN)
      const shown = () => cropped(trying.whole(), bare, box)
      const standing = new Standing(shown())
      const passed = new Set(seen)
      const heard: (void | Promise<void>)[] = []
      const paint = (alternative: Alternative): void => {
        passed.add(alternative.key)
        const shows = trying.paint(withAlternative(look, stepId, alternative), alternative.steps[0]!.id)
        const picture = shown()
        if (!standing.takes(alternative, picture)) return
        heard.push(onPainted({ alternative, picture, shows }))
      }
      for (const alternative of pinned) paint(alternative)
      const now = step && featuresOf(step, false)
      let made = 0
      const newId = () => `nine-${Date.now().toString(36)}-${made++}`
      const upTo = async (count: number, fits: readonly Fit[]): Promise<void> => {
        const sources = { look, world, kit: shop.kit(), fits, beneath }
        const list = step ? alternativesTo(step, sources, newId()) : alternativesAt(sources, newId)
        while (standing.alternatives.length < count && mine === asked) {
          const next = nextBest(list, { now, standing: standing.alternatives, pinned, seen: passed })
          if (!next) return
          paint(next)
          // Lets a newer wish, or a stop, in between.
          await shop.pause()
        }
      }
      if (step) await upTo(BEFORE_FITS, [])
      await upTo(NINE, await fitting())
      // What was told comes to the page by another port than the answer, and could come after it.
      await Promise.all(heard)
      return { count: standing.alternatives.length, leastApart: standing.leastApart }
    },
  }
}
