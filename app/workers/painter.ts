import { expose, transfer } from 'comlink'
import type { Look, World } from '#core/look'
import { drawHead, finishedPicture, gridOver, HEAD_BOX, printSteps, spongeGrain, type HeadPicture } from '#core/raster'
import { ADULT_FACE } from '#core/skin'
import type { Stencil } from '#core/stencil'

export interface Picture { rgba: Uint8ClampedArray<ArrayBuffer>, width: number, height: number }

const sheets = new Map<string, Stencil>()
let colours: Record<string, string> = {}
const world: World = { face: ADULT_FACE, stencil: id => sheets.get(id), paintColour: id => colours[id] }

interface Prepared { head: HeadPicture, grain: Float32Array }
const prepared = new Map<string, Prepared>()

/** The bare head at a fineness, drawn once for each skin. */
function prepare(look: Look, pxPerMm: number): Prepared {
  const key = JSON.stringify([look.skin.colour, look.skin.hair, look.skin.eyes, pxPerMm])
  let found = prepared.get(key)
  if (!found) {
    const head = drawHead(gridOver(HEAD_BOX, pxPerMm), { skinColour: look.skin.colour, hairColour: look.skin.hair, eyes: look.skin.eyes, landmarks: world.face })
    found = { head, grain: spongeGrain(head.grid) }
    prepared.set(key, found)
    if (prepared.size > 6) prepared.delete(prepared.keys().next().value!)
  }
  return found
}

const finished = ({ head }: Prepared, paint?: Float32Array): Picture => ({ rgba: finishedPicture(head, paint), width: head.grid.width, height: head.grid.height })

const painter = {
  know(list: Stencil[], paints: Record<string, string>): void {
    for (const sheet of list) sheets.set(sheet.id, sheet)
    colours = paints
  },
  /** The painted face; with `upTo`, only its first steps. */
  paint(look: Look, pxPerMm: number, upTo = look.steps.length): Picture {
    const ready = prepare(look, pxPerMm), picture = finished(ready, printSteps(ready.head, look.steps.slice(0, upTo), world, ready.grain))
    return transfer(picture, [picture.rgba.buffer])
  },
  /** A small picture of the bare face and one after every step. */
  thumbs(look: Look, pxPerMm: number): Picture[] {
    const ready = prepare(look, pxPerMm), pictures = [finished(ready)]
    printSteps(ready.head, look.steps, world, ready.grain, (_step, paint) => pictures.push(finished(ready, paint)))
    return transfer(pictures, pictures.map(p => p.rgba.buffer))
  },
}

export type Painter = typeof painter
expose(painter)
