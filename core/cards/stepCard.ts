import type { PDFImage, PDFPage } from 'pdf-lib'
import { PAPER } from '../geometry'
import {
  colourOf,
  INK,
  MULBERRY,
  Pen,
  POINTS,
  rule,
  SOFT,
  within,
  type DrawForeign,
  type FontFiles,
} from './pen'

/** One step as a card shows it. */
export interface CardStep {
  readonly title: string
  readonly words: string
  readonly optional: boolean
  /** Seconds that it waits for something to dry; 0 for none. */
  readonly wait: number
  readonly time: string
  readonly swatches: readonly string[]
  readonly lines: readonly { readonly label: string; readonly text: string }[]
  /** The face after it, PNG; null where it could not be painted. */
  readonly picture: Uint8Array | null
}

/** What stands on a step card. */
export interface Card {
  readonly name: string
  readonly about: string
  readonly asked: string
  readonly notes: string
  readonly cautions: readonly string[]
  readonly picture: Uint8Array | null
  readonly steps: readonly CardStep[]
}

type Paper = 'A4' | 'A6'
/** How a card is set: sizes of letters in points, columns, height of the pictures in mm. */
interface Style {
  readonly size: number
  readonly columns: number
  readonly thumb: number
  readonly face: number
  readonly close?: true
}

/** From roomy to close; the closest may take several pages. Nothing is set smaller than can be read. */
const STYLES: Readonly<Record<Paper, readonly Style[]>> = {
  A4: [
    { size: 10.5, columns: 1, thumb: 24, face: 36 },
    { size: 9.5, columns: 1, thumb: 17, face: 30 },
    { size: 9.5, columns: 2, thumb: 17, face: 30 },
    { size: 9, columns: 2, thumb: 13, face: 26, close: true },
    { size: 8.5, columns: 2, thumb: 10, face: 22, close: true },
  ],
  A6: [
    { size: 7.5, columns: 1, thumb: 10, face: 18 },
    { size: 7, columns: 1, thumb: 8, face: 15, close: true },
    { size: 6.5, columns: 1, thumb: 0, face: 13, close: true },
  ],
}
const RIM: Readonly<Record<Paper, number>> = { A4: 11, A6: 5 }
const GAP = 5

/** A step with its picture ready. */
type Ready = CardStep & { readonly image: PDFImage | null }

/** Sets a card on paper: the step list with pictures of the build-up, on one page where it fits. */
class CardSetter {
  private readonly paperW: number
  private readonly paperH: number
  private readonly rim: number

  constructor(
    private readonly pen: Pen,
    private readonly card: Card,
    private readonly face: PDFImage | null,
    private readonly steps: readonly Ready[],
    private readonly paper: Paper,
  ) {
    ;[this.paperW, this.paperH] = PAPER[paper]
    this.rim = RIM[paper]
  }

  private get wide(): number {
    return this.paperW - 2 * this.rim
  }
  private columnWide = ({ columns }: Style): number => (this.wide - GAP * (columns - 1)) / columns
  /** Where the text of a step begins, from its left. */
  private indent = ({ thumb, size }: Style): number => (thumb ? thumb * 0.78 + 2 : 0) + size * 0.62

  /** Lays one step; without a page it is only measured. Returns its height. */
  private step(page: PDFPage | null, step: Ready, n: number, x: number, y: number, style: Style): number {
    const { pen } = this
    const { size, thumb } = style
    const text = { size }
    const soft = { size: size * 0.94, colour: SOFT }
    const indent = this.indent(style)
    const wide = this.columnWide(style) - indent
    const left = x + indent
    let at = y + size * 0.08
    if (page) {
      pen.line(page, String(n), x, at, { size: size * 1.3, bold: true, colour: MULBERRY })
      if (thumb && step.image) within(page, step.image, x + size * 0.62, at, thumb * 0.78, thumb)
    }
    const timeWide = pen.width(step.time, soft)
    const dots = step.swatches.slice(0, 6)
    const dot = size * 0.3
    const titleWide = wide - timeWide - 2 - dots.length * (dot + 0.6)
    const title = pen.lines(step.title, titleWide, { ...text, bold: true })
    if (page) {
      dots.forEach((colour, i) => {
        page.drawCircle({
          x: (left + titleWide + 1 + (i + 0.5) * (dot + 0.6)) * POINTS,
          y: page.getHeight() - (at + size * 0.19) * POINTS,
          size: (dot / 2) * POINTS,
          color: colourOf(colour),
          borderColor: SOFT,
          borderWidth: 0.3,
        })
      })
      pen.line(page, step.time, left + wide - timeWide, at, soft)
    }
    for (const line of title) {
      if (page) pen.line(page, line, left, at, { ...text, bold: true })
      at += pen.leading(text)
    }
    const says = [
      step.wait > 0 ? `wait ~${step.wait} s until dry` : '',
      step.optional ? 'can be left out' : '',
    ]
    // Where there is little room its kind is told by its lines.
    const about = [...(style.close ? [] : [step.words]), ...says].filter(Boolean)
    const rows = [...(about.length ? [{ label: '', text: about.join(', ') }] : []), ...step.lines]
    for (const { label, text: said } of rows) {
      const whole = label ? `${label}: ${said}` : said
      const setting = label ? text : soft
      if (page) pen.block(page, whole, left, at, wide, setting)
      at += pen.height(whole, wide, setting)
    }
    return Math.max(at - y, thumb + size * 0.1) + size * 0.12
  }

  /** Lays the head of the card; without a page it is only measured. Returns its height. */
  private head(page: PDFPage | null, { size, face }: Style): number {
    const { pen, card, rim } = this
    const small = this.paper === 'A6'
    const left = this.face ? rim + face * 0.8 + 3 : rim
    const wide = this.paperW - rim - left
    let at = rim
    if (page && this.face) within(page, this.face, rim, rim, face * 0.8, face)
    const write = (text: string, setting: { size: number; bold?: boolean; colour?: typeof INK }): void => {
      if (!text) return
      if (page) pen.block(page, text, left, at, wide, setting)
      at += pen.height(text, wide, setting)
    }
    write(card.name, { size: size * (small ? 1.7 : 2.1), bold: true })
    write(card.about, { size })
    write(card.asked, { size })
    write(card.notes, { size })
    const under = Math.max(at, rim + (this.face ? face : 0)) + 1
    at = under
    const cautions = card.cautions.join(' ')
    const setting = { size: size * 0.86, colour: SOFT }
    if (page) pen.block(page, cautions, rim, at, this.wide, setting)
    at += pen.height(cautions, this.wide, setting) + 1
    if (page) rule(page, rim, at, this.wide, 0.5, INK)
    return at + 1.5 - rim
  }

  /** Which step stands on which page, in which column and how far down; as many pages as it takes. */
  private places(style: Style): { page: number; column: number; y: number }[] {
    const top = this.rim + this.head(null, style)
    const bottom = this.paperH - this.rim - 5
    let page = 0
    let column = 0
    let y = top
    return this.steps.map((step, i) => {
      const height = this.step(null, step, i + 1, 0, 0, style)
      if (y + height > bottom && y > (page ? this.rim : top)) {
        column += 1
        if (column === style.columns) {
          column = 0
          page += 1
        }
        y = page ? this.rim : top
      }
      const place = { page, column, y }
      y += height
      return place
    })
  }

  draw(): void {
    const styles = STYLES[this.paper]
    const all = styles.map(style => ({ style, places: this.places(style) }))
    const { style, places } = all.find(a => a.places.every(p => p.page === 0)) ?? all.at(-1)!
    const pages = Array.from({ length: Math.max(0, ...places.map(p => p.page)) + 1 }, () =>
      this.pen.pdf.addPage([this.paperW * POINTS, this.paperH * POINTS]),
    )
    this.head(pages[0]!, style)
    this.steps.forEach((step, i) => {
      const { page, column, y } = places[i]!
      const x = this.rim + column * (this.columnWide(style) + GAP)
      if (places[i - 1]?.page === page && places[i - 1]?.column === column)
        rule(pages[page]!, x, y - 0.3, this.columnWide(style), 0.15)
      this.step(pages[page]!, step, i + 1, x, y, style)
    })
    pages.forEach((page, n) =>
      this.pen.line(
        page,
        `${this.card.name}, page ${n + 1} of ${pages.length}. Times are estimates.`,
        this.rim,
        this.paperH - this.rim - 2,
        { size: this.paper === 'A6' ? 5.5 : 7.5, colour: SOFT },
      ),
    )
  }
}

/** The step card of a look as a PDF, on A4 or A6. */
export async function stepCardPdf(
  card: Card,
  paper: Paper,
  fonts: FontFiles,
  foreign: DrawForeign,
): Promise<Uint8Array> {
  const pen = await Pen.begin(fonts, foreign, `${card.name}, step card`)
  await pen.prepare([
    card.name,
    card.about,
    card.asked,
    card.notes,
    ...card.steps.flatMap(s => [s.title, s.words, ...s.lines.flatMap(l => [l.label, l.text])]),
  ])
  const image = (png: Uint8Array | null) => (png ? pen.pdf.embedPng(png) : null)
  const steps = await Promise.all(card.steps.map(async s => ({ ...s, image: await image(s.picture) })))
  new CardSetter(pen, card, await image(card.picture), steps, paper).draw()
  return pen.pdf.save()
}
