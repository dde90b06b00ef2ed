import type { Look } from '../look'
import type { Ground } from '../skin'
import { gridOver } from './grid'
import { drawBare, drawSkin, type HeadPicture } from './head'
import { spongeGrain } from './grain'

/** What steps are printed on: the bare skin on a grid, and the grain of sponges there. */
export interface Bare {
  readonly head: HeadPicture
  readonly grain: Float32Array
}

/** How the skin of a look is seen: from the front, or on the chart that leaves steep skin its width. */
export type Seen = 'front' | 'wrap'

/** Draws bare skin once for each canvas, skin and fineness, and keeps the last few. */
export class BareSkinCache {
  private readonly known = new Map<string, Bare>()

  constructor(private readonly most: number) {}

  /** The bare skin of a look at some px/mm. Throws RangeError when the fineness is out of bounds. */
  of(look: Look, ground: Ground, pxPerMm: number, seen: Seen = 'front'): Bare {
    const key = JSON.stringify([look.canvas, look.skin, pxPerMm, seen])
    let found = this.known.get(key)
    if (!found) {
      const bare = { skinColour: look.skin.colour, hairColour: look.skin.hair, eyes: look.skin.eyes }
      const wrap = seen === 'wrap' ? ground.wrap() : null
      const grid = gridOver(wrap?.box ?? ground.box, pxPerMm)
      const head = wrap ? drawSkin(grid, ground, bare, wrap.chart) : drawBare(grid, ground, bare)
      found = { head, grain: spongeGrain(head.grid) }
      this.known.set(key, found)
      if (this.known.size > this.most) this.known.delete(this.known.keys().next().value!)
    }
    return found
  }
}
