import { mkdirSync, writeFileSync } from 'node:fs'
import { collection } from './collection'
import { svgOf } from './draw/sheet'
import type { ShelfEntry } from './shelf'

/** Writes every demo stencil as an SVG file in millimetres, and beside them what is known of each. */
export function writeStencils(folder: URL): number {
  mkdirSync(folder, { recursive: true })
  const drawings = collection()
  for (const drawing of drawings) writeFileSync(new URL(`${drawing.id}.svg`, folder), svgOf(drawing))
  const about: ShelfEntry[] = drawings.map(({ id, name, kind, tags, zones, heading = null }) => ({
    id,
    name,
    kind,
    tags,
    zones,
    heading,
  }))
  writeFileSync(new URL('collection.json', folder), `${JSON.stringify(about, null, 1)}\n`)
  return drawings.length
}

if (process.argv[1]?.endsWith('writeStencils.ts'))
  console.log(`${writeStencils(new URL('./stencils/', import.meta.url))} stencils written`)
