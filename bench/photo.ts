import { readFileSync } from 'node:fs'
import { findCard, findSheet, frameOfCorners, prepare, readOpenings } from '../core/photo'
import { readSheetFile } from '../core/stencil'
import { photograph } from '../tests/photographs'
import type { Table } from './table'

/** A photograph of 12 megapixels read as the page's worker reads it. */
export function photoRows(table: Table): void {
  const { sheet } = readSheetFile(readFileSync('demo/stencils/lion-marks.svg', 'utf8'))
  const { picture, corners } = photograph({ sheet, fineness: 17, around: 22 })
  const timed = (job: () => unknown): number => {
    const begun = performance.now()
    job()
    return performance.now() - begun
  }
  const megapixels = ((picture.width * picture.height) / 1e6).toFixed(1)
  const looked = timed(() => {
    findSheet(picture)
    findCard(picture)
  })
  table.row(`a photograph of ${megapixels} MP: corners and card looked for`, looked, { most: 2500 })
  const frame = frameOfCorners(corners, sheet.width, sheet.height)
  const read = timed(() => readOpenings(prepare(picture, frame, 'sheet', null)))
  table.row(`a photograph of ${megapixels} MP: read, from corners to outlines`, read, { most: 4000 })
}
