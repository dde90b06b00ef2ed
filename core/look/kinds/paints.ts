import type { Memo } from '../../memo'
import { opticsOfColour, opticsOfSwatch, type Optics, type Paint } from '../../paint'
import type { CakeRef, PaintRef } from '../document'
import type { LaidPaint } from './print'
import type { World } from './world'

/** The paints of the kit, and where results are kept. */
type Kit = Pick<World, 'paint' | 'memo'>

/**
 * A paint as it lies in a film: the kit's own swatch where it is there, else what follows from the colour in
 * the look.
 */
export function laidPaint(ref: Pick<PaintRef, 'id' | 'colour'>, { paint: find, memo }: Kit): LaidPaint {
  const paint = find(ref.id)
  if (!paint) return { optics: colourOptics(ref.colour, memo), finish: 'matte' }
  const { overBlack, overWhite, finish } = paint
  const make = () => opticsOfSwatch(overBlack, overWhite)
  return { optics: memo ? memo.recall(`swatch ${overBlack} ${overWhite}`, [], make) : make(), finish }
}

/** The optics of a colour of which nothing else is known. */
const colourOptics = (colour: string, memo: Memo | undefined): Optics =>
  memo ? memo.recall(`colour ${colour}`, [], () => opticsOfColour(colour)) : opticsOfColour(colour)

/** The strips of a split cake: the kit's own where it is there, else those that the look remembers. */
export interface CakeStrips {
  readonly paints: readonly LaidPaint[]
  /** Far end of each strip, as a share of the cake's width. */
  readonly ends: readonly number[]
}

export function cakeStrips(cake: CakeRef, world: Kit): CakeStrips {
  const own = world.paint(cake.id)
  const list = own?.strips.length ? own.strips : cake.strips
  const total = list.reduce((sum, strip) => sum + strip.width, 0)
  const finish = own?.finish ?? 'matte'
  let sum = 0
  return {
    paints: list.map(strip => ({ optics: colourOptics(strip.colour, world.memo), finish })),
    ends: list.map(strip => (sum += strip.width) / total),
  }
}

/** A split cake as one of the paints that a step uses. */
export const cakeAsPaint = ({ id, name, colour }: CakeRef): PaintRef => ({ id, name, colour })

/** A paint of the kit as a look remembers it. */
export const refOf = ({ id, name, colour }: Paint): PaintRef => ({ id, name, colour })
/** A split cake of the kit as a look remembers it. */
export const cakeRefOf = ({ id, name, colour, strips }: Paint): CakeRef => ({
  id,
  name,
  colour,
  strips: strips.map(s => ({ ...s })),
})
