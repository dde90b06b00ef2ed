import type { PDFImage, PDFPage } from 'pdf-lib'
import { PAPER } from '../geometry'
import { colourOf, MULBERRY, Pen, POINTS, rule, SOFT, within, type DrawForeign, type FontFiles } from './pen'

/** One picture of a board, with what stands beside it. */
export interface BoardCell {
  readonly title: string
  readonly words: string
  readonly swatches: readonly { readonly colour: string; readonly name: string }[]
  /** PNG; null where it could not be painted. */
  readonly picture: Uint8Array | null
  /** Width of what the picture shows, mm on the skin; null where its scale does not matter. */
  readonly wide: number | null
}

/** Pictures side by side on paper: tries to paint one beside the other, or a look as it is built. */
export interface Board {
  readonly name: string
  readonly about: string
  readonly cells: readonly BoardCell[]
}

type BoardPaper = 'A4' | 'A5'
const RIM = 10
const GAP = 5
/** Room for the head of a page, mm, and for the words below a picture where there are few of them. */
const HEAD = 15
const LETTERS = 8.5
/** At most so many pictures stand on a page: more are too small to be painted from. */
const MOST_ON_A_PAGE = { A4: 20, A5: 12 } as const
/** As many swatches are named. */
const MOST_SWATCHES = 8

/** Columns and rows for some pictures of some shape, so that they are as large as can be. */
export function boardGrid(
  count: number,
  wide: number,
  high: number,
  ratio: number,
): { columns: number; rows: number } {
  let best = { columns: 1, rows: count, size: 0 }
  for (let columns = 1; columns <= count; columns++) {
    const rows = Math.ceil(count / columns)
    const w = (wide - GAP * (columns - 1)) / columns
    const h = (high - GAP * (rows - 1)) / rows
    const size = Math.min(w, h / ratio)
    if (size > best.size) best = { columns, rows, size }
  }
  return { columns: best.columns, rows: best.rows }
}

/** Height over width of a cell: a picture of a head, with its words below. */
const CELL_RATIO = 1.75

class BoardSetter {
  private readonly width: number
  private readonly height: number

  constructor(
    private readonly pen: Pen,
    private readonly board: Board,
    private readonly images: readonly (PDFImage | null)[],
    paper: BoardPaper,
  ) {
    ;[this.width, this.height] = PAPER[paper]
  }

  /** The words below a picture; without a page they are only measured. Returns their height. */
  private words(page: PDFPage | null, cell: BoardCell, x: number, y: number, wide: number): number {
    const { pen } = this
    let at = y
    const write = (text: string, setting: { size: number; bold?: boolean; colour?: typeof SOFT }): void => {
      if (!text) return
      if (page) pen.block(page, text, x, at, wide, setting)
      at += pen.height(text, wide, setting)
    }
    write(cell.title, { size: LETTERS + 1.5, bold: true })
    write(cell.words, { size: LETTERS })
    const small = { size: LETTERS - 1.5, colour: SOFT }
    for (const { colour, name } of cell.swatches.slice(0, MOST_SWATCHES)) {
      if (page) {
        page.drawCircle({
          x: (x + 1.4) * POINTS,
          y: page.getHeight() - (at + 1.5) * POINTS,
          size: 1.2 * POINTS,
          color: colourOf(colour),
          borderColor: SOFT,
          borderWidth: 0.3,
        })
        pen.line(page, name, x + 3.6, at, small)
      }
      at += pen.leading(small)
    }
    return at - y
  }

  /** By how much a picture of some width is made smaller, as words: "1 : 2.4". */
  private scaleWords(wide: number | null, drawn: number): string {
    if (wide === null) return ''
    const by = wide / drawn
    return by < 1.005 ? 'true size' : `1 : ${by.toFixed(1)}`
  }

  private page(from: number, count: number): void {
    const { pen, board, width, height } = this
    const page = pen.pdf.addPage([width * POINTS, height * POINTS])
    pen.line(page, board.name, RIM, RIM, { size: 16, bold: true, colour: MULBERRY })
    pen.line(page, board.about, RIM, RIM + 7.5, { size: LETTERS, colour: SOFT })
    rule(page, RIM, RIM + 12, width - 2 * RIM, 0.5)
    const room = { wide: width - 2 * RIM, high: height - 2 * RIM - HEAD }
    const { columns, rows } = boardGrid(count, room.wide, room.high, CELL_RATIO)
    const w = (room.wide - GAP * (columns - 1)) / columns
    const h = (room.high - GAP * (rows - 1)) / rows
    const scale = this.scaleOf(from, count, w, h)
    for (let n = 0; n < count; n++) {
      const cell = board.cells[from + n]!
      const image = this.images[from + n]
      const x = RIM + (n % columns) * (w + GAP)
      const y = RIM + HEAD + Math.floor(n / columns) * (h + GAP)
      const drawn = image ? this.drawnWide(cell, image, w, h, scale) : 0
      const tall = image ? (drawn * image.height) / image.width : 0
      if (image) within(page, image, x, y, drawn, tall)
      const words = drawn ? this.scaleWords(cell.wide, drawn) : ''
      if (words) pen.line(page, words, x, y + tall + 0.5, { size: LETTERS - 2, colour: SOFT })
      this.words(page, cell, x, y + tall + (words ? 4 : 1.5), w)
    }
  }

  /** How wide a picture may be in its cell above its words, mm. */
  private room(cell: BoardCell, image: PDFImage, w: number, h: number): number {
    const most = Math.max(10, h - this.words(null, cell, 0, 0, w) - 6)
    return Math.min(w, (most * image.width) / image.height)
  }

  /** The one scale of all pictures of a page that have one: as large as fits everywhere, never over true size. */
  private scaleOf(from: number, count: number, w: number, h: number): number {
    const scales = this.board.cells.slice(from, from + count).flatMap((cell, n) => {
      const image = this.images[from + n]
      return image && cell.wide !== null ? [this.room(cell, image, w, h) / cell.wide] : []
    })
    return Math.min(1, ...scales)
  }
  private drawnWide(cell: BoardCell, image: PDFImage, w: number, h: number, scale: number): number {
    return cell.wide === null ? this.room(cell, image, w, h) : cell.wide * scale
  }

  draw(paper: BoardPaper): void {
    const most = MOST_ON_A_PAGE[paper]
    for (let from = 0; from < this.board.cells.length; from += most)
      this.page(from, Math.min(most, this.board.cells.length - from))
  }
}

/**
 * Pictures side by side as PDF, each with its words and swatches, at true size or as large as the page allows.
 * @throws RangeError when there is no picture
 */
export async function boardPdf(
  board: Board,
  paper: BoardPaper,
  fonts: FontFiles,
  draw: DrawForeign,
): Promise<Uint8Array> {
  if (!board.cells.length) throw new RangeError('There is nothing to put on the page.')
  const pen = await Pen.begin(fonts, draw, board.name)
  await pen.prepare([
    board.name,
    board.about,
    ...board.cells.flatMap(c => [c.title, c.words, ...c.swatches.map(s => s.name)]),
  ])
  const images = await Promise.all(board.cells.map(c => (c.picture ? pen.pdf.embedPng(c.picture) : null)))
  new BoardSetter(pen, board, images, paper).draw(paper)
  return pen.pdf.save()
}
