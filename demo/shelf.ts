import { readFileSync } from 'node:fs'
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

const folder = new URL('./stencils/', import.meta.url)

/** The demo stencils as written, in the order in which they are shown. */
export const shelf: readonly ShelfEntry[] = JSON.parse(
  readFileSync(new URL('collection.json', folder), 'utf8'),
)

/** The text of a demo stencil's SVG file. */
export const shelfSvg = (id: string): string => readFileSync(new URL(`${id}.svg`, folder), 'utf8')
