import { LRUCache } from 'lru-cache'
import type { Box } from '../geometry'
import type { Look } from '../look'
import type { LightId } from '../paint'
import type { Ground } from '../skin'
import { gridOver } from './grid'
import { bareInTurns, drawBare, drawSkin, type BareLook, type HeadPicture } from './head'
import { spongeGrain } from './grain'

/** What steps are printed on: the bare skin on a grid, and the grain of sponges there. */
export interface Bare {
  readonly head: HeadPicture
  readonly grain: Float32Array
}

/** How the skin of a look is seen: from the front, or on the chart that leaves steep skin its width. */
type Seen = 'front' | 'wrap'

/** How a bare skin is seen beside its fineness. */
export interface HowSeen {
  readonly seen?: Seen
  /** The part that is wanted of it as seen from the front, mm; all of it when left out. */
  readonly box?: Readonly<Box> | undefined
  /** Under which light; the stall's lamp when left out. */
  readonly light?: LightId | undefined
}

/** Bytes that a bare skin holds. */
const bytesOf = ({ head, grain }: Bare): number =>
  [head.albedo, head.light, head.gloss, head.skin, head.hair, head.over, grain].reduce(
    (n, a) => n + a.byteLength,
    0,
  )

/** Names what a bare skin depends on. */
export const bareKey = (
  { canvas, skin }: Pick<Look, 'canvas' | 'skin'>,
  pxPerMm: number,
  { seen = 'front', box, light = 'lamp' }: HowSeen = {},
): string => JSON.stringify([canvas, { ...skin, oily: undefined }, pxPerMm, seen, box, light])

/** What an unpainted head is drawn with. */
export const bareLookOf = ({ skin }: Pick<Look, 'skin'>): BareLook => ({
  skinColour: skin.colour,
  hair: { cut: skin.cut ?? 'tied back', colour: skin.hair },
  eyes: skin.eyes,
  iris: skin.iris,
  beard: skin.beard,
  freckles: skin.freckles,
})

/** Draws bare skin once for each canvas, skin and fineness, and keeps the last ones, as many as have room. */
export class BareSkinCache {
  private readonly known: LRUCache<string, Bare>

  /** @param mostBytes room for what is kept; a picture that is larger is drawn and not kept */
  constructor(mostBytes: number) {
    this.known = new LRUCache({ maxSize: mostBytes, sizeCalculation: bytesOf })
  }

  has(key: string): boolean {
    return this.known.has(key)
  }

  /** Takes in a bare skin that was drawn before. */
  put(key: string, bare: Bare): void {
    this.known.set(key, bare)
  }

  /**
   * The bare skin of a look at some px/mm.
   * @throws RangeError when the fineness is out of bounds
   */
  of(look: Look, ground: Ground, pxPerMm: number, how: HowSeen = {}): Bare {
    const key = bareKey(look, pxPerMm, how)
    const found = this.known.get(key)
    if (found) return found
    const bare = drawn(look, ground, pxPerMm, how)
    this.known.set(key, bare)
    return bare
  }

  /**
   * The same as seen from the front, layer by layer: it rests after each.
   * @throws RangeError when the fineness is out of bounds
   */
  *inTurns(look: Look, ground: Ground, pxPerMm: number): Generator<void> {
    const key = bareKey(look, pxPerMm)
    if (this.known.has(key)) return
    const head = yield* bareInTurns(gridOver(ground.box, pxPerMm), ground, bareLookOf(look))
    this.known.set(key, withGrain(head))
  }
}

const withGrain = (head: HeadPicture): Bare => ({ head, grain: spongeGrain(head.grid) })

function drawn(look: Look, ground: Ground, pxPerMm: number, { seen, box, light }: HowSeen): Bare {
  const bare = { ...bareLookOf(look), light }
  const wrap = seen === 'wrap' ? ground.wrap() : null
  const grid = gridOver(wrap?.box ?? box ?? ground.box, pxPerMm)
  return withGrain(wrap ? drawSkin(grid, ground, bare, wrap.chart) : drawBare(grid, ground, bare))
}
