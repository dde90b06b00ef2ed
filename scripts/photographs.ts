// Photographs every demo stencil in three kinds of light, on three grounds, and reads it back: openings, area,
// narrowest bridge, corners, true and found. npm run photographs -- [pixels to the millimetre] [stencil]
import { readdirSync, readFileSync } from 'node:fs'
import { polygonOf, sheetOfDraft } from '../core/draft'
import { distance, polygonArea } from '../core/geometry'
import { findSheet, frameOfCorners, prepare, readOpenings } from '../core/photo'
import { analyse, readSheetFile } from '../core/stencil'
import { LAMP, photograph, SHADE, SIDE } from '../tests/photographs'

const fineness = Number(process.argv[2] ?? 8)
const files = readdirSync('demo/stencils').filter(
  f => f.endsWith('.svg') && f.startsWith(process.argv[3] ?? ''),
)
const lights = { side: SIDE, lamp: LAMP, shade: SHADE }
const grounds = [{}, { material: '#e8e4d8', ground: '#3a4a55' }, { material: '#5d6064', ground: '#15161a' }]
const sum = (values: number[]): number => values.reduce((a, b) => a + b, 0)

console.log('stencil, light | corners off, px | openings | area, mm2 | narrowest bridge, mm')
files.forEach((file, n) => {
  const { sheet } = readSheetFile(readFileSync(`demo/stencils/${file}`, 'utf8'))
  const truth = { area: sum(sheet.openings.map(polygonArea)), bridge: analyse(sheet).bridge }
  Object.entries(lights).forEach(([light, falls], k) => {
    const shot = photograph({ sheet, fineness, light: falls, seed: n, ...grounds[(n + k) % 3] })
    const found = findSheet(shot.picture)
    const off = found ? Math.max(...found.corners.map((c, i) => distance(c, shot.corners[i]!))) : Infinity
    const frame = frameOfCorners(off < 3 ? found!.corners : shot.corners, sheet.width, sheet.height)
    const { draft } = readOpenings(prepare(shot.picture, frame, 'sheet', null)).sheets[0]!
    const area = sum(draft.openings.map(o => polygonArea(polygonOf(o))))
    const bridge = analyse(sheetOfDraft(draft)).bridge
    const part = `${(100 * (area / truth.area - 1)).toFixed(2)} %`
    console.log(
      `${file.replace('.svg', '')}, ${light} | ${off.toFixed(2)} | ${draft.openings.length} of ${sheet.openings.length} | ` +
        `${area.toFixed(0)} of ${truth.area.toFixed(0)}, ${part} | ${bridge?.width.toFixed(2)} of ${truth.bridge?.width.toFixed(2)}`,
    )
  })
})
