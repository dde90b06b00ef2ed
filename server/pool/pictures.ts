import { encode } from 'fast-png'
import { checkWork, type Look, type World } from '../../core/look'
import { BareSkinCache, finishedPicture, printSteps } from '../../core/raster'

/** Bare skins that a thread keeps, bytes: a gallery's heads come to about 7 MB each. */
const MOST_BYTES = 96e6
/** Pixels of the largest picture that is painted: a whole face at 12 px/mm has 7.5 million. */
const MOST_PIXELS = 12e6
/** Pixels to the millimetre of the gallery's pictures. */
export const CARD_PX = 1.5

const bares = new BareSkinCache(MOST_BYTES)

/** A look painted on its canvas as PNG bytes. Throws RangeError with a sentence when it would be too large, or too much. */
export function lookPng(look: Look, world: World, pxPerMm: number): Uint8Array {
  const { minX, minY, maxX, maxY } = world.ground.box
  const pixels = (maxX - minX) * (maxY - minY) * pxPerMm * pxPerMm
  if (pixels > MOST_PIXELS) {
    const most = Math.floor(10 * pxPerMm * Math.sqrt(MOST_PIXELS / pixels)) / 10
    throw new RangeError(`At ${pxPerMm} px/mm this picture is too large; it can have ${most} px/mm at most.`)
  }
  checkWork(look.steps, world)
  const { head, grain } = bares.of(look, world.ground, pxPerMm)
  const paint = printSteps(head, look.steps, world, grain)
  return encode({
    width: head.grid.width,
    height: head.grid.height,
    data: finishedPicture(head, paint),
    channels: 4,
    depth: 8,
  })
}
