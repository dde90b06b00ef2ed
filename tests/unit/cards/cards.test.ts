import { readFileSync } from 'node:fs'
import { PDFDocument, PDFName, PDFRawStream } from 'pdf-lib'
import { PNG } from 'pngjs'
import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import {
  boardGrid,
  boardPdf,
  marksPdf,
  Pen,
  stepCardPdf,
  templateOf,
  templatePdf,
  type Card,
  type ForeignText,
} from '#core/cards'
import { cardLines, groundFor, withSteps } from '#core/look'
import { world as bare } from '../world'

const font = (subset: string, weight: number) =>
  readFileSync(
    `node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`,
  )
const fonts = {
  regular: [font('latin', 400), font('latin-ext', 400)],
  bold: [font('latin', 700), font('latin-ext', 700)],
}
const png = PNG.sync.write(new PNG({ width: 40, height: 50 }))
/** A device that draws whatever it is asked for, and what it was asked for. */
function device() {
  const asked: string[] = []
  const draw = (text: string): Promise<ForeignText> => {
    asked.push(text)
    return Promise.resolve({ png, em: [...text].length })
  }
  return { asked, draw }
}
const MM = 25.4 / 72
const sizes = async (bytes: Uint8Array) =>
  (await PDFDocument.load(bytes))
    .getPages()
    .map(p => [p.getWidth(), p.getHeight()].map(v => Math.round(v * MM)))
/** Names of the fonts whose files are in a PDF. */
const embedded = async (bytes: Uint8Array): Promise<number> =>
  (await PDFDocument.load(bytes)).context
    .enumerateIndirectObjects()
    .filter(
      ([, o]) =>
        'get' in o &&
        !(o instanceof PDFRawStream) &&
        (o as { get: (n: PDFName) => unknown }).get(PDFName.of('FontFile2')),
    ).length

const look = looks.find(l => l.id === 'plain-barn-owl')!
const world = withSteps({ ...bare, ground: groundFor(look) }, look.steps)
const card = (change: Partial<Card> = {}): Card => ({
  name: look.name,
  about: 'face, 30 years',
  asked: 'Asked: nothing.',
  notes: '',
  cautions: ['Ask first.'],
  picture: png,
  steps: look.steps.map(step => ({
    title: step.label,
    words: step.kind,
    optional: step.optional,
    wait: 40,
    time: '~0:20, 1 load',
    swatches: ['#7A2E5D', '#3F6B4B'],
    lines: cardLines(step, world),
    picture: png,
  })),
  ...change,
})

describe('cards on paper', () => {
  it('are one page of A4, and pages of A6, with fonts of their own', async () => {
    const { draw, asked } = device()
    const a4 = await stepCardPdf(card(), 'A4', fonts, draw)
    expect(await sizes(a4)).toEqual([[210, 297]])
    expect(await embedded(a4)).toBeGreaterThanOrEqual(2)
    expect(asked).toEqual([])
    for (const size of await sizes(await stepCardPdf(card(), 'A6', fonts, draw)))
      expect(size).toEqual([105, 148])
  })

  it('take as many pages as a long look needs, and lose no step', async () => {
    const { steps } = card()
    const long = card({ steps: Array.from({ length: 40 }, (_, i) => steps[i % steps.length]!) })
    const pages = await sizes(await stepCardPdf(long, 'A4', fonts, device().draw))
    expect(pages.length).toBeGreaterThan(1)
    expect(pages.length).toBeLessThan(9)
    expect(await sizes(await stepCardPdf(card({ steps: [] }), 'A4', fonts, device().draw))).toHaveLength(1)
  })

  it('have names in any script: what no font has is drawn by the device, and only that', async () => {
    const { draw, asked } = device()
    await stepCardPdf(card({ name: 'Łuk 梟の夜 owl', steps: [] }), 'A4', fonts, draw)
    expect(new Set(asked.map(s => s.trim()))).toEqual(new Set(['梟の夜']))
    // A device that cannot draw it leaves marks, and the card comes all the same.
    const pdf = await stepCardPdf(card({ name: '梟' }), 'A6', fonts, () => Promise.resolve(null))
    expect((await sizes(pdf)).length).toBeGreaterThan(0)
  })

  it('break lines at words, and long words where they must', async () => {
    const pen = await Pen.begin(fonts, () => Promise.resolve(null), 'x')
    const setting = { size: 10 }
    const lines = pen.lines('dabbed with a makeup sponge, tacky, six dabs over the brow', 30, setting)
    expect(lines.length).toBeGreaterThan(2)
    for (const line of lines) expect(pen.width(line, setting)).toBeLessThanOrEqual(30)
    expect(lines.join(' ')).toBe('dabbed with a makeup sponge, tacky, six dabs over the brow')
    const broken = pen.lines('M'.repeat(60), 30, setting)
    expect(broken.join('')).toBe('M'.repeat(60))
    for (const line of broken) expect(pen.width(line, setting)).toBeLessThanOrEqual(30)
    expect(pen.lines('', 30, setting)).toEqual([''])
  })
})

describe('a placing template', () => {
  const template = templateOf(look, look.steps, world)

  it('has the stencils and marks of a look where they lie, numbered as the steps', () => {
    const sheets = look.steps.flatMap((s, i) => (s.kind === 'sheet' ? [{ s, n: String(i + 1) }] : []))
    expect(template.lines.filter(l => l.look === 'sheet')).toHaveLength(sheets.length)
    for (const { s, n } of sheets) expect(template.marks).toContainEqual({ at: [...s.at], number: n })
    expect(template.key.map(k => k.number)).toEqual(look.steps.map((_, i) => String(i + 1)))
  })

  it('is at true size: a bar of 50 mm, one page where it fits, parts that overlap where it does not', async () => {
    const { draw } = device()
    expect(await sizes(await templatePdf(template, fonts, draw))).toEqual([[210, 297]])
    const wide = { ...template, box: { minX: -200, minY: -130, maxX: 200, maxY: 130 } }
    expect(await sizes(await templatePdf(wide, fonts, draw))).toHaveLength(3)
    expect(await sizes(await marksPdf(template, fonts, draw))).toEqual([[210, 297]])
  })
})

describe('boards of pictures', () => {
  const cell = {
    title: 'B cold fire',
    words: 'about 3:34 min',
    swatches: [{ colour: '#1F4E9A', name: 'Harbour Blue' }],
    picture: png,
    wide: 180,
  }
  const board = (count: number) => ({
    name: 'Ember Wing',
    about: 'Practice board',
    cells: Array.from({ length: count }, () => cell),
  })

  it('are on one page of the paper that is asked for, tries up to six', async () => {
    const { draw } = device()
    for (const [paper, size] of [
      ['A4', [210, 297]],
      ['A5', [148, 210]],
    ] as const)
      for (const count of [1, 2, 6])
        expect(await sizes(await boardPdf(board(count), paper, fonts, draw))).toEqual([size])
  })

  it('take more pages where there are many pictures, and refuse to be empty', async () => {
    const { draw } = device()
    expect(await sizes(await boardPdf(board(41), 'A4', fonts, draw))).toHaveLength(3)
    await expect(boardPdf(board(0), 'A4', fonts, draw)).rejects.toThrow(RangeError)
  })

  it('stand in the grid in which they are largest', () => {
    // Two on a page that is much wider than high stand beside each other, on a high one above each other.
    expect(boardGrid(2, 200, 100, 1)).toEqual({ columns: 2, rows: 1 })
    expect(boardGrid(2, 100, 200, 1)).toEqual({ columns: 1, rows: 2 })
    expect(boardGrid(6, 190, 262, 1.75)).toEqual({ columns: 3, rows: 2 })
  })
})
