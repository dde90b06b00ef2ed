import { encode } from 'fast-png'
import type { Look, World } from '#core/look'
import { drawHead, finishedPicture, gridOver, HEAD_BOX, printSteps, spongeGrain, type HeadPicture } from '#core/raster'

/** Heads already drawn, by what they look like; a handful is enough for a gallery. */
const heads = new Map<string, HeadPicture>()

function headFor(look: Look, world: World, pxPerMm: number): HeadPicture {
  const key = JSON.stringify([look.skin, pxPerMm]), known = heads.get(key)
  if (known) return known
  const head = drawHead(gridOver(HEAD_BOX, pxPerMm), { skinColour: look.skin.colour, hairColour: look.skin.hair, eyes: look.skin.eyes, landmarks: world.face })
  heads.set(key, head)
  if (heads.size > 12) heads.delete(heads.keys().next().value!)
  return head
}

/** A look painted on its head as PNG bytes. */
export function lookPng(look: Look, world: World, pxPerMm: number): Uint8Array {
  const head = headFor(look, world, pxPerMm), paint = printSteps(head, look.steps, world, spongeGrain(head.grid))
  return encode({ width: head.grid.width, height: head.grid.height, data: finishedPicture(head, paint), channels: 4, depth: 8 })
}
