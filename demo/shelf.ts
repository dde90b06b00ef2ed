import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { StencilKind } from '../core/stencil'

/** What is written beside the stencil files about each of them. */
export interface ShelfEntry {
  id: string
  name: string
  kind: StencilKind
  tags: string[]
  zones: string[]
  heading: number | null
}

const folder = join(dirname(fileURLToPath(import.meta.url)), 'stencils')

/** The demo stencils as written, in the order in which they are shown. */
export const shelf: readonly ShelfEntry[] = JSON.parse(readFileSync(join(folder, 'collection.json'), 'utf8'))

/** The text of a demo stencil's SVG file. */
export const shelfSvg = (id: string): string => readFileSync(join(folder, `${id}.svg`), 'utf8')
