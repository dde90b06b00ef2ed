import type { PDFPage } from 'pdf-lib'
import { PAPER, type Box, type Point, type Ring } from '../geometry'
import { INK, MULBERRY, Pen, POINTS, rule, SOFT, type DrawForeign, type FontFiles } from './pen'

/** Something drawn on a template: a closed or open line, mm of the picture. */
export interface TemplateLine {
  readonly ring: Ring
  readonly closed: boolean
  readonly look: 'skin' | 'feature' | 'sheet' | 'twin' | 'opening' | 'mark'
}
/** A mark with its number and what it is for. */
export interface TemplateMark {
  readonly at: Point
  readonly number: string
}
/** What stands on a placing template. */
export interface Template {
  readonly name: string
  readonly box: Box
  readonly lines: readonly TemplateLine[]
  readonly marks: readonly TemplateMark[]
  /** What the numbers mean: steps, and where they lie. */
  readonly key: readonly { readonly number: string; readonly text: string }[]
}

const BAR_MM = 50
const RIM = 6
const FOOT = 16
const STYLE: Readonly<Record<TemplateLine['look'], { width: number; dash?: number[]; colour: typeof INK }>> =
  {
    skin: { width: 0.35, colour: SOFT },
    feature: { width: 0.25, colour: SOFT },
    sheet: { width: 0.45, colour: MULBERRY },
    twin: { width: 0.45, dash: [2, 1.5], colour: MULBERRY },
    opening: { width: 0.12, colour: INK },
    mark: { width: 0.3, dash: [1, 1], colour: INK },
  }

/** Pages of A4 that a width or height takes at 1:1, overlapping by so many mm where there are several. */
const OVERLAP = 10

/** Draws a template with its origin at a place of the page, mm, at a scale. */
function drawing(pen: Pen, page: PDFPage, { lines, marks }: Template, [x, y]: Point, k: number): void {
  const at = (u: number, v: number): string =>
    `${((k * u + x) * POINTS).toFixed(2)} ${((k * v + y) * POINTS).toFixed(2)}`
  for (const { ring, closed, look } of lines) {
    if (ring.length < 4) continue
    let d = `M${at(ring[0]!, ring[1]!)}`
    for (let n = 2; n < ring.length; n += 2) d += `L${at(ring[n]!, ring[n + 1]!)}`
    const { width, dash, colour } = STYLE[look]
    page.drawSvgPath(closed ? `${d}Z` : d, {
      x: 0,
      y: page.getHeight(),
      borderColor: colour,
      borderWidth: width * POINTS,
      ...(dash && { borderDashArray: dash.map(v => v * POINTS) }),
    })
  }
  for (const { at: mark, number } of marks) {
    const [u, v] = [k * mark[0] + x, k * mark[1] + y]
    for (const side of [1, -1])
      page.drawLine({
        start: { x: (u - CROSS) * POINTS, y: page.getHeight() - (v - side * CROSS) * POINTS },
        end: { x: (u + CROSS) * POINTS, y: page.getHeight() - (v + side * CROSS) * POINTS },
        thickness: 0.3 * POINTS,
        color: MULBERRY,
      })
    pen.line(page, number, u + 1.6, v - 3.4, { size: 9, bold: true, colour: MULBERRY })
  }
}
/** Half the width of the cross of a mark, mm. */
const CROSS = 1.2

/** The bar by which a print is checked, with what the page is. */
function foot(pen: Pen, page: PDFPage, words: string): void {
  const [w, h] = PAPER.A4
  const y = h - RIM - 6
  const x = RIM + 4
  rule(page, x, y, BAR_MM, 0.4, INK)
  for (const tick of [x, x + BAR_MM])
    page.drawLine({
      start: { x: tick * POINTS, y: page.getHeight() - (y - 1.5) * POINTS },
      end: { x: tick * POINTS, y: page.getHeight() - (y + 1.5) * POINTS },
      thickness: 0.4 * POINTS,
      color: INK,
    })
  const text = `50 mm: measure this bar before you use the print. ${words}`
  pen.block(page, text, x + BAR_MM + 4, y - 3, w - x - BAR_MM - RIM - 4, { size: 8 })
}

/** A template at true size, over as many pages as it takes. */
function trueSize(pen: Pen, template: Template): void {
  const { box, name } = template
  const [w, h] = PAPER.A4
  const roomW = w - 2 * RIM
  const roomH = h - 2 * RIM - FOOT
  const wide = box.maxX - box.minX
  const high = box.maxY - box.minY
  const across = Math.max(1, Math.ceil((wide - OVERLAP) / (roomW - OVERLAP)))
  const down = Math.max(1, Math.ceil((high - OVERLAP) / (roomH - OVERLAP)))
  for (let j = 0; j < down; j++)
    for (let i = 0; i < across; i++) {
      const page = pen.pdf.addPage([w * POINTS, h * POINTS])
      // One page holds its drawing in the middle; of several each shows its part, with an overlap.
      const x = RIM + (across === 1 ? (roomW - wide) / 2 : 0) - box.minX - i * (roomW - OVERLAP)
      const y = RIM + (down === 1 ? (roomH - high) / 2 : 0) - box.minY - j * (roomH - OVERLAP)
      drawing(pen, page, template, [x, y], 1)
      const part = across * down > 1 ? `, part ${j * across + i + 1} of ${across * down}` : ''
      foot(pen, page, `${name}, placing template at 1:1${part}.`)
    }
}

/** Room of the small drawing on the sheet of marks, mm. */
const SMALL_W = 88
const SMALL_H = 118

/** The sheet of marks: the drawing small, and what each number is and where it lies. */
function marksPages(pen: Pen, template: Template): void {
  const { name, key, box } = template
  const [w, h] = PAPER.A4
  const setting = { size: 9.5 }
  const left = RIM + 6
  let page = pen.pdf.addPage([w * POINTS, h * POINTS])
  pen.line(page, `${name}: marks`, left, 12, { size: 18, bold: true })
  const k = Math.min(SMALL_W / (box.maxX - box.minX), SMALL_H / (box.maxY - box.minY))
  drawing(pen, page, template, [left - k * box.minX, 24 - k * box.minY], k)
  // Beside the drawing first, then below it, then on further pages.
  let x = left + SMALL_W + 6
  let y = 24
  let bottom = 24 + SMALL_H
  for (const { number, text } of key) {
    const wide = () => w - RIM - 6 - x - 10
    if (y + pen.height(text, wide(), setting) + 1.5 > bottom) {
      if (x > left && bottom < h - 12) y = Math.max(y, 24 + SMALL_H + 4)
      else {
        page = pen.pdf.addPage([w * POINTS, h * POINTS])
        y = 14
      }
      x = left
      bottom = h - 12
    }
    pen.line(page, number, x, y, { size: 10.5, bold: true, colour: MULBERRY })
    y = pen.block(page, text, x + 10, y, wide(), setting) + 1.5
  }
}

/**
 * A look's sheets, marks and features at 1:1 on A4, for the practice board or to lay beside the face, with a bar of
 * 50 mm to check the print.
 */
export async function templatePdf(
  template: Template,
  fonts: FontFiles,
  foreign: DrawForeign,
): Promise<Uint8Array> {
  const pen = await Pen.begin(fonts, foreign, `${template.name}, placing template`)
  await pen.prepare([template.name])
  trueSize(pen, template)
  return pen.pdf.save()
}

/** The sheet of marks: where each step lies, on a small drawing and in words. */
export async function marksPdf(
  template: Template,
  fonts: FontFiles,
  foreign: DrawForeign,
): Promise<Uint8Array> {
  const pen = await Pen.begin(fonts, foreign, `${template.name}, marks`)
  await pen.prepare([template.name, ...template.key.map(k => k.text)])
  marksPages(pen, template)
  return pen.pdf.save()
}
