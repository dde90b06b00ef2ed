import type { Board, BoardCell, Card, CardStep, ForeignText } from '#core/cards'
import boldExt from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import regularExt from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import regular from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import type { Look, Step, World } from '#core/look'

const bytes = async (url: string): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(url)).arrayBuffer())

/** Pixels to the em of letters that the device draws. */
const EM_PX = 64
/** Letters that our fonts lack, drawn with the device's: any script that it knows. */
async function drawForeign(text: string, isBold: boolean): Promise<ForeignText | null> {
  const font = `${isBold ? '700 ' : ''}${EM_PX}px system-ui, sans-serif`
  const measure = new OffscreenCanvas(1, 1).getContext('2d')!
  measure.font = font
  const width = Math.max(1, Math.ceil(measure.measureText(text).width))
  const canvas = new OffscreenCanvas(width, EM_PX)
  const c = canvas.getContext('2d')!
  c.font = font
  c.fillStyle = '#23201d'
  // As far below the line as letters reach: see Pen.
  c.fillText(text, 0, EM_PX * 0.72)
  const png = new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer())
  return { png, em: width / EM_PX }
}

function save(pdf: Uint8Array, name: string): void {
  const url = URL.createObjectURL(new Blob([pdf as BlobPart], { type: 'application/pdf' }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A picture that the page holds as a data address, as PNG bytes. */
const pngOf = (url: string | undefined): Uint8Array | null =>
  url ? Uint8Array.from(atob(url.slice(url.indexOf(',') + 1)), c => c.charCodeAt(0)) : null

/** What a card is made of, besides its pictures. */
export interface CardText extends Omit<Card, 'picture' | 'steps'> {
  readonly steps: readonly Omit<CardStep, 'picture'>[]
}

/** A board besides its pictures. */
export interface BoardText extends Omit<Board, 'cells'> {
  readonly cells: readonly Omit<BoardCell, 'picture'>[]
}

/** Cards, templates and sheets of marks as PDF, made on this device. */
export function useCards() {
  const working = ref(false)
  const failed = ref<string[]>([])
  const fonts = async () => ({
    regular: await Promise.all([regular, regularExt].map(bytes)),
    bold: await Promise.all([bold, boldExt].map(bytes)),
  })
  async function make(job: (cards: typeof import('#core/cards')) => Promise<[Uint8Array, string]>) {
    working.value = true
    failed.value = []
    try {
      // What writes PDF is large, and few need it.
      save(...(await job(await import('#core/cards'))))
    } catch (error) {
      failed.value = sentencesOf(error)
    }
    working.value = false
  }
  /**
   * The step card.
   * @param thumbs addresses of the pictures after each step
   */
  const card = (text: CardText, picture: string, thumbs: readonly string[], paper: 'A4' | 'A6') =>
    make(async cards => {
      const steps = text.steps.map((s, i) => ({ ...s, picture: pngOf(thumbs[i]) }))
      const full = { ...text, picture: pngOf(picture), steps }
      const pdf = await cards.stepCardPdf(full, paper, await fonts(), drawForeign)
      return [pdf, `${text.name}, step card ${paper}.pdf`]
    })
  const template = (look: Look, steps: readonly Step[], world: World) =>
    make(async cards => {
      const pdf = await cards.templatePdf(cards.templateOf(look, steps, world), await fonts(), drawForeign)
      return [pdf, `${look.name}, placing template.pdf`]
    })
  const marks = (look: Look, steps: readonly Step[], world: World) =>
    make(async cards => {
      const pdf = await cards.marksPdf(cards.templateOf(look, steps, world), await fonts(), drawForeign)
      return [pdf, `${look.name}, marks.pdf`]
    })
  /**
   * Pictures side by side: tries to paint one beside the other, or a look as it is built.
   * @param pictures addresses of the pictures, one for each cell
   */
  const board = (text: BoardText, pictures: readonly string[], paper: 'A4' | 'A5', what: string) =>
    make(async cards => {
      const cells = text.cells.map((c, i) => ({ ...c, picture: pngOf(pictures[i]) }))
      const pdf = await cards.boardPdf({ ...text, cells }, paper, await fonts(), drawForeign)
      return [pdf, `${text.name}, ${what} ${paper}.pdf`]
    })
  const calibration = () =>
    make(async cards => [await cards.calibrationPdf(await fonts(), drawForeign), 'calibration card.pdf'])
  return { working, failed, card, template, marks, board, calibration }
}
