import { encode } from 'fast-png'
import type { Look, World } from '#core/look'
import { BareSkinCache, finishedPicture, printSteps } from '#core/raster'

/** Heads already drawn; a handful is enough for a gallery. */
const bares = new BareSkinCache(12)

/** A look painted on its canvas as PNG bytes. */
export function lookPng(look: Look, world: World, pxPerMm: number): Uint8Array {
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
