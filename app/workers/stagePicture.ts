import type { Box } from '#core/geometry'
import { isKind, kindOf, showsOf, type Look, type Shows, type Step, type World } from '#core/look'
import { bareKey, IncrementalCompositor, underLight, type BareSkinCache } from '#core/raster'
import type { LightId } from '#core/paint'

/**
 * A part of a picture that changed, with the number of the picture that it belongs to and the size of the
 * whole; `fresh` when the part is the whole.
 */
export interface Update {
  readonly patch: {
    i0: number
    j0: number
    width: number
    height: number
    rgba: Uint8ClampedArray<ArrayBuffer>
  } | null
  readonly picture: number
  readonly width: number
  readonly height: number
  readonly fresh: boolean
  readonly shows: Shows[]
}

/**
 * What is wished for: the first steps of a look at some px/mm, and the number of the picture that the page
 * has; null when it has none.
 */
export interface Wish {
  readonly look: Look
  readonly world: World
  readonly pxPerMm: number
  /** The part that is wanted of the whole picture, mm; all of it when left out. */
  readonly box?: Readonly<Box> | undefined
  /** Under which light; the stall's lamp when left out. */
  readonly light?: LightId | undefined
  readonly upTo: number
  readonly have: number | null
}

/**
 * The picture of the stage, kept so that only what changes is painted anew. Every picture has a number; a
 * patch goes out only to a page that has the very picture it belongs to, since one may be given up before the
 * page saw anything of it.
 */
export class StagePicture {
  private kept: {
    key: string
    picture: number
    painting: IncrementalCompositor
    shows: Map<string, Shows>
  } | null = null
  private pictures = 0
  private newest = 0

  /**
   * @param pause lets messages that wait come in
   * @param compares whether it is told how steps show
   */
  constructor(
    private readonly bares: BareSkinCache,
    private readonly pause: () => Promise<void>,
    private readonly compares = true,
  ) {}

  /** Whatever is painted is given up, the wish answers null, and nothing of the picture is kept. */
  giveUp(): void {
    this.newest++
    this.kept = null
  }

  /**
   * Brings the picture to a look: only from the changed step upward, and only where something changed. Null
   * when a newer wish came meanwhile.
   * @param keyOf what a step's print depends on, as text
   * @param ready gets the bare skin ready, where it may be kept
   */
  async update(
    { look, world, pxPerMm, box, light, upTo, have }: Wish,
    keyOf: (step: Step) => string,
    ready: () => Promise<void> = async () => {},
  ): Promise<Update | null> {
    const mine = ++this.newest
    await ready()
    if (mine !== this.newest) return null
    const bare = this.bares.of(look, world.ground, pxPerMm, { box, light })
    const key = bareKey(look, pxPerMm, { box, light })
    if (this.kept?.key !== key)
      this.kept = {
        key,
        picture: ++this.pictures,
        painting: new IncrementalCompositor(bare, this.compares),
        shows: new Map(),
      }
    const { painting, shows, picture } = this.kept
    const steps = look.steps.slice(0, upTo)
    for (const step of painting.toward(steps, world, keyOf)) {
      const pairs = underLight(painting.compared(), bare.head.tint)
      if (pairs.length) shows.set(step.id, showsOf(step.id, pairs, kindOf(step).judgedAt))
      else shows.delete(step.id)
      await this.pause()
      if (mine !== this.newest) return null
    }
    const { width, height } = bare.head.grid
    const fresh = have !== picture
    const patch = fresh ? { i0: 0, j0: 0, width, height, rgba: painting.whole() } : painting.patch()
    return { patch, picture, width, height, fresh, shows: steps.flatMap(s => shows.get(s.id) ?? []) }
  }
}

/** The steps that one goes around, and those that they go around. */
function hostsOf(step: Step, steps: readonly Step[]): readonly Step[] {
  const ids = kindOf(step).follows(step)
  const before = steps.slice(
    0,
    steps.findIndex(s => s.id === step.id),
  )
  return before.filter(s => ids.includes(s.id)).flatMap(host => [host, ...hostsOf(host, steps)])
}

/**
 * What a step's print depends on, as text: its own fields, what it goes around, its sheet, what lies beneath,
 * and the kit.
 * @param versionOf the number of times that a sheet was told
 */
export const keyIn =
  (steps: readonly Step[], world: World, versionOf: (sheet: string) => number, kitVersion: number) =>
  (step: Step): string =>
    JSON.stringify([
      step,
      hostsOf(step, steps),
      kindOf(step).sheets(step).map(versionOf),
      world.oily,
      world.off?.has(step.id),
      world.under?.(step.id),
      isKind('sheet', step) && step.passes.map((p, i) => p.carries && world.held?.(step.id, i)),
      [...(world.wetUnder?.(step.id) ?? [])],
      kitVersion,
    ])
