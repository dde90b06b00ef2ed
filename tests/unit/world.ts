import { paints } from '../../demo/paints'
import { shelf, shelfSvg } from '../../demo/shelf'
import { NO_TWIN, type PaintRef, type Twin, type World } from '#core/look'
import { groundOf, PLAIN_FACE } from '#core/skin'
import { prepared, readSvg, type PreparedSheet } from '#core/stencil'

const read = new Map<string, PreparedSheet>()

/**
 * A sheet of the demo drawer, read when a test first asks for it; undefined when the drawer has none of that
 * id.
 */
function sheetOf(id: string): PreparedSheet | undefined {
  const entry = shelf.find(s => s.id === id)
  if (entry && !read.has(id)) {
    const { name, kind } = entry
    read.set(id, prepared({ id, name, kind, ...readSvg(shelfSvg(id)).sheet }))
  }
  return read.get(id)
}

const ids = shelf.map(s => s.id)
/** The demo drawer as the core sees it. */
export const sheets = {
  get: sheetOf,
  has: (id: string): boolean => ids.includes(id),
  keys: (): readonly string[] => ids,
  values: (): PreparedSheet[] => ids.map(id => sheetOf(id)!),
}
/** A grown face of nobody in particular. */
export const ground = groundOf(PLAIN_FACE, 30)
export const MIDLINE: Twin = { ...NO_TWIN, rule: 'midline' }
export const world: World = { ground, stencil: sheetOf, paint: () => undefined }
export const paint = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}
