import { paints } from '../../demo/paints'
import { shelf, shelfSvg } from '../../demo/shelf'
import type { PaintRef, World } from '#core/look'
import { ADULT_FACE } from '#core/skin'
import { readSvg, type Stencil } from '#core/stencil'

/** The demo drawer as the core sees it. */
export const sheets = new Map<string, Stencil>(shelf.map(({ id, name, kind }) => [id, { id, name, kind, ...readSvg(shelfSvg(id)).sheet }]))
export const world: World = { face: ADULT_FACE, stencil: id => sheets.get(id), paintColour: () => undefined }
export const paint = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}
