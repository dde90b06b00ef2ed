import { polygonArea as d3Area } from 'd3-polygon'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { collection } from '../../demo/collection'
import { svgOf } from '../../demo/draw/sheet'
import { shelf, shelfSvg } from '../../demo/shelf'
import { lengthInMm, PAPER, pointsOf, polygonArea } from '#core/geometry'
import { readSvg } from '#core/stencil'

const folder = new URL('../../demo/stencils/', import.meta.url)

describe('areas of the demo stencils against d3-polygon', () => {
  it.each(readdirSync(folder).filter(f => f.endsWith('.svg')))('%s, within 0.1 %%', file => {
    const { sheet } = readSvg(readFileSync(new URL(file, folder), 'utf8'))
    for (const opening of sheet.openings) {
      const theirs = [opening.outer, ...opening.holes].map(ring =>
        Math.abs(d3Area(pointsOf(ring) as [number, number][])),
      )
      const area = theirs[0]! - theirs.slice(1).reduce((a, v) => a + v, 0)
      expect(Math.abs(polygonArea(opening) - area)).toBeLessThanOrEqual(area * 1e-3)
    }
  })
})

it('the files are what the demo program draws', () => {
  const drawings = collection()
  expect(shelf.map(s => s.id)).toEqual(drawings.map(d => d.id))
  for (const drawing of drawings) {
    const file = new URL(`${drawing.id}.svg`, folder)
    expect(existsSync(file), drawing.id).toBe(true)
    expect(readFileSync(file, 'utf8'), drawing.id).toBe(svgOf(drawing))
  }
})

// CSS Values and Units Module Level 4, section 6.2: 1in = 2.54cm = 96px; 1pt = 1/72in; 1pc = 1/6in; 1Q =
// 1/40cm.
it.each([
  ['1in', 25.4],
  ['96px', 25.4],
  ['96', 25.4],
  ['2.54cm', 25.4],
  ['25.4mm', 25.4],
  ['72pt', 25.4],
  ['6pc', 25.4],
  ['101.6q', 25.4],
  ['-0.5in', -12.7],
  ['1e1mm', 10],
])('%s is %d mm', (text, mm) => {
  expect(lengthInMm(text)).toBeCloseTo(mm, 10)
})

it.each(['10%', '3em', 'wide', '', '1 2mm', 'NaNmm'])('"%s" is no absolute length', text =>
  expect(lengthInMm(text)).toBeNull(),
)

// ISO 216:2007, trimmed sizes of the A series: A4 210 x 297 mm, A5 148 x 210 mm, A6 105 x 148 mm.
it('knows the A series', () => {
  expect(PAPER).toEqual({ A4: [210, 297], A5: [148, 210], A6: [105, 148] })
  expect((PAPER.A4[0] * PAPER.A4[1]) / (PAPER.A5[0] * PAPER.A5[1])).toBeCloseTo(2, 1)
})

// SVG 1.1, section 7.8 (viewBox fitted with xMidYMid meet): a square drawing in a wide page is centred.
it('centres a viewBox that is narrower than its page', () => {
  const { sheet } = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 10 10"><circle cx="5" cy="5" r="2"/></svg>',
  )
  const xs = sheet.openings[0]!.outer.filter((_, i) => i % 2 === 0)
  expect(Math.max(...xs)).toBeCloseTo(10, 1)
  expect(Math.min(...xs)).toBeCloseTo(-10, 1)
})

// No demo sheet for the face is larger than A5 (ISO 216).
it.each(shelf.map(s => s.id))('%s is no larger than A5', id => {
  const { sheet } = readSvg(shelfSvg(id))
  const [short, long] = [Math.min(sheet.width, sheet.height), Math.max(sheet.width, sheet.height)]
  expect(short).toBeLessThanOrEqual(PAPER.A5[0])
  expect(long).toBeLessThanOrEqual(PAPER.A5[1])
})
