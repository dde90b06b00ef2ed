import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, rgb, type Color, type PDFFont, type PDFImage, type PDFPage } from 'pdf-lib'

/** Points of a millimetre. */
export const POINTS = 72 / 25.4

/** Fonts as the bytes of their files: of a text, the first that has a letter draws it. */
export interface FontFiles {
  readonly regular: readonly Uint8Array[]
  readonly bold: readonly Uint8Array[]
}

/** Letters that no font of ours has, drawn by the device: a picture, 1 em high, and its width in em. */
export interface ForeignText {
  readonly png: Uint8Array
  readonly em: number
}
/** Draws letters that no font of ours has; null where nobody can. */
export type DrawForeign = (text: string, bold: boolean) => Promise<ForeignText | null>

export const INK = rgb(0.137, 0.125, 0.114)
export const SOFT = rgb(0.36, 0.337, 0.306)
export const RULE = rgb(0.867, 0.843, 0.8)
export const MULBERRY = rgb(0.478, 0.18, 0.365)

/** A colour such as #7A2E5D. */
export const colourOf = (hex: string): Color =>
  rgb(...([1, 3, 5].map(i => parseInt(hex.slice(i, i + 2), 16) / 255) as [number, number, number]))

/** A piece of a line that one font, or a picture, draws. */
interface Run {
  readonly text: string
  readonly font: PDFFont | null
  readonly image: PDFImage | null
  /** Width of the picture, em. */
  readonly em: number
}

/** How a text is set. */
export interface Setting {
  /** Size of the letters, points. */
  readonly size: number
  readonly bold?: boolean
  readonly colour?: Color
}

/** Lines are so many sizes apart. */
const LEADING = 1.28
/** How far a picture of letters reaches below the line, em. */
const BELOW = 0.28

/** Marks of direction and the like that nobody sees. */
const UNSEEN = /[\u200B-\u200F\u202A-\u202E\u2060-\u2069\uFEFF]/g

interface Face {
  readonly font: PDFFont
  readonly has: ReadonlySet<number>
}

/**
 * Writes text into a PDF with fonts of its own. What none of them has is drawn by the device, so that names are
 * right in any script. Lengths mm, sizes of letters in points; y runs down from the top of the page.
 */
export class Pen {
  private readonly foreign = new Map<string, { image: PDFImage; em: number }>()

  private constructor(
    readonly pdf: PDFDocument,
    private readonly faces: { regular: Face[]; bold: Face[] },
    private readonly draw: DrawForeign,
  ) {}

  static async begin(files: FontFiles, draw: DrawForeign, title: string): Promise<Pen> {
    const pdf = await PDFDocument.create()
    pdf.registerFontkit(fontkit)
    pdf.setTitle(title)
    pdf.setCreator('Janusform')
    const embed = (list: readonly Uint8Array[]) =>
      Promise.all(
        list.map(async bytes => {
          const font = await pdf.embedFont(bytes, { subset: true })
          return { font, has: new Set(font.getCharacterSet()) }
        }),
      )
    return new Pen(pdf, { regular: await embed(files.regular), bold: await embed(files.bold) }, draw)
  }

  /** Gets everything ready that some texts need of the device; to be asked before they are measured. */
  async prepare(texts: readonly string[]): Promise<void> {
    for (const bold of [false, true])
      for (const text of texts)
        for (const piece of this.pieces(text, bold))
          if (!piece.face && !this.foreign.has(keyOf(piece.text, bold))) {
            const drawn = await this.draw(piece.text, bold)
            if (drawn)
              this.foreign.set(keyOf(piece.text, bold), {
                image: await this.pdf.embedPng(drawn.png),
                em: drawn.em,
              })
          }
  }

  /** A text cut where another font begins. */
  private pieces(text: string, bold: boolean): { text: string; face: Face | null }[] {
    const faces = this.faces[bold ? 'bold' : 'regular']
    const list: { text: string; face: Face | null }[] = []
    for (const letter of text.replace(UNSEEN, '')) {
      const code = letter.codePointAt(0)!
      const last = list.at(-1)
      // A space goes with what it stands in, so that words of another script are drawn together.
      const face = letter === ' ' && last ? last.face : (faces.find(f => f.has.has(code)) ?? null)
      if (last && last.face === face) last.text += letter
      else list.push({ text: letter, face })
    }
    return list
  }

  private runs(text: string, bold: boolean): Run[] {
    return this.pieces(text, bold).map(({ text: piece, face }) => {
      if (face) return { text: piece, font: face.font, image: null, em: 0 }
      const drawn = this.foreign.get(keyOf(piece, bold))
      const [usual] = this.faces[bold ? 'bold' : 'regular']
      return drawn
        ? { text: piece, font: null, image: drawn.image, em: drawn.em }
        : { text: '?'.repeat([...piece].length), font: usual!.font, image: null, em: 0 }
    })
  }

  /** Width of a text, mm. */
  width(text: string, { size, bold = false }: Setting): number {
    const points = this.runs(text, bold).reduce(
      (sum, r) => sum + (r.font ? r.font.widthOfTextAtSize(r.text, size) : r.em * size),
      0,
    )
    return points / POINTS
  }

  /** A text broken into lines of at most a width, mm; a word that is longer is broken too. */
  lines(text: string, wide: number, setting: Setting): string[] {
    const lines: string[] = []
    for (const paragraph of text.split('\n')) {
      let line = ''
      for (const word of paragraph.split(/\s+/).filter(Boolean)) {
        const longer = line ? `${line} ${word}` : word
        if (this.width(longer, setting) <= wide) line = longer
        else {
          if (line) lines.push(line)
          const [rest, ...broken] = this.broken(word, wide, setting).reverse()
          lines.push(...broken.reverse())
          line = rest ?? ''
        }
      }
      lines.push(line)
    }
    return lines
  }

  /** A word in parts that are no wider than a width. */
  private broken(word: string, wide: number, setting: Setting): string[] {
    const parts: string[] = ['']
    for (const letter of word) {
      const last = parts.at(-1)!
      if (last && this.width(last + letter, setting) > wide) parts.push(letter)
      else parts[parts.length - 1] = last + letter
    }
    return parts
  }

  /** Height of a line, mm. */
  leading = ({ size }: Setting): number => (LEADING * size) / POINTS

  /** Height of a text in lines of at most a width, mm. */
  height = (text: string, wide: number, setting: Setting): number =>
    this.lines(text, wide, setting).length * this.leading(setting)

  /** Writes one line, its top at y. */
  line(page: PDFPage, text: string, x: number, y: number, setting: Setting): void {
    const { size, bold = false, colour = INK } = setting
    const base = page.getHeight() - y * POINTS - 0.98 * size
    let at = x * POINTS
    for (const run of this.runs(text, bold)) {
      if (run.font) {
        page.drawText(run.text, { x: at, y: base, size, font: run.font, color: colour })
        at += run.font.widthOfTextAtSize(run.text, size)
      } else {
        page.drawImage(run.image!, { x: at, y: base - BELOW * size, width: run.em * size, height: size })
        at += run.em * size
      }
    }
  }

  /** Writes a text in lines of at most a width; returns the y below it. */
  block(page: PDFPage, text: string, x: number, y: number, wide: number, setting: Setting): number {
    let at = y
    for (const line of this.lines(text, wide, setting)) {
      this.line(page, line, x, at, setting)
      at += this.leading(setting)
    }
    return at
  }
}

const keyOf = (text: string, bold: boolean): string => `${bold ? 'b' : 'r'} ${text}`

/** Draws a picture within a box, its proportions kept, from the box's left top. */
export function within(page: PDFPage, image: PDFImage, x: number, y: number, w: number, h: number): void {
  const k = Math.min((w * POINTS) / image.width, (h * POINTS) / image.height)
  page.drawImage(image, {
    x: x * POINTS,
    y: page.getHeight() - y * POINTS - k * image.height,
    width: k * image.width,
    height: k * image.height,
  })
}

/** A line across, mm. */
export function rule(
  page: PDFPage,
  x: number,
  y: number,
  wide: number,
  thick = 0.3,
  colour: Color = RULE,
): void {
  const at = page.getHeight() - y * POINTS
  page.drawLine({
    start: { x: x * POINTS, y: at },
    end: { x: (x + wide) * POINTS, y: at },
    thickness: thick * POINTS,
    color: colour,
  })
}
