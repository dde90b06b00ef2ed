import { collection } from '../../demo/collection'
import { svgOf } from '../../demo/draw/sheet'
import { paints } from '../../demo/paints'
import type { PaintRef, World } from '#core/look'
import { ADULT_FACE } from '#core/skin'
import { readSvg, type Stencil } from '#core/stencil'

/** The demo drawer as the core sees it. */
export const sheets = new Map<string, Stencil>(collection().map(d => [d.id, { id: d.id, name: d.name, kind: d.kind, ...readSvg(svgOf(d)).sheet }]))
export const world: World = { face: ADULT_FACE, stencil: id => sheets.get(id), paintColour: () => undefined }
export const paint = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}
