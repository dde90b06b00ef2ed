import { opticsOfColour, opticsOfSwatch } from '../../paint'
import type { CakeRef, PaintRef } from '../document'
import type { LaidPaint } from './print'
import type { World } from './world'

/** A paint as it lies in a film: the kit's own swatch where it is there, else what follows from the colour in the look. */
export function laidPaint(ref: Pick<PaintRef, 'id' | 'colour'>, world: Pick<World, 'paint'>): LaidPaint {
  const paint = world.paint(ref.id)
  return paint
    ? { optics: opticsOfSwatch(paint.overBlack, paint.overWhite), finish: paint.finish }
    : { optics: opticsOfColour(ref.colour), finish: 'matte' }
}

/** The strips of a split cake: the kit's own where it is there, else those that the look remembers. */
export interface CakeStrips {
  readonly paints: readonly LaidPaint[]
  /** Far end of each strip, as a share of the cake's width. */
  readonly ends: readonly number[]
}

export function cakeStrips(cake: CakeRef, world: Pick<World, 'paint'>): CakeStrips {
  const own = world.paint(cake.id)
  const list = own?.strips.length ? own.strips : cake.strips
  const total = list.reduce((sum, strip) => sum + strip.width, 0)
  const finish = own?.finish ?? 'matte'
  let sum = 0
  return {
    paints: list.map(strip => ({ optics: opticsOfColour(strip.colour), finish })),
    ends: list.map(strip => (sum += strip.width) / total),
  }
}

/** A split cake as one of the paints that a step uses. */
export const cakeAsPaint = ({ id, name, colour }: CakeRef): PaintRef => ({ id, name, colour })
