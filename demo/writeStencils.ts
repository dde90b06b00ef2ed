import { mkdirSync, writeFileSync } from 'node:fs'
import { collection } from './collection'
import { svgOf } from './draw/sheet'

/** Writes every demo stencil as an SVG file in millimetres. */
export function writeStencils(folder: URL): number {
  mkdirSync(folder, { recursive: true })
  const drawings = collection()
  for (const drawing of drawings) writeFileSync(new URL(`${drawing.id}.svg`, folder), svgOf(drawing))
  return drawings.length
}

if (process.argv[1]?.endsWith('writeStencils.ts')) console.log(`${writeStencils(new URL('./stencils/', import.meta.url))} stencils written`)
