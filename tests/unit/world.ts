import { paints } from '../../demo/paints'
import { shelf, shelfSvg } from '../../demo/shelf'
import { NO_TWIN, type PaintRef, type Twin, type World } from '#core/look'
import { groundOf, PLAIN_FACE } from '#core/skin'
import { prepared, readSvg, type PreparedSheet } from '#core/stencil'

/** The demo drawer as the core sees it. */
export const sheets = new Map<string, PreparedSheet>(
  shelf.map(({ id, name, kind }) => [id, prepared({ id, name, kind, ...readSvg(shelfSvg(id)).sheet })]),
)
/** A grown face of nobody in particular. */
export const ground = groundOf(PLAIN_FACE, 30)
export const MIDLINE: Twin = { ...NO_TWIN, rule: 'midline' }
export const world: World = { ground, stencil: id => sheets.get(id), paint: () => undefined }
export const paint = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}
