import { PageSizes } from 'pdf-lib'
import { CARD, CARD_CROSSES, cardDots } from '../photo'
import { INK, Pen, POINTS, SOFT, type DrawForeign, type FontFiles } from './pen'

/** Margin above the crosses, mm, on A4 (297 mm tall). */
const TOP = 24

/**
 * The calibration card: four crosses with dots between them, and a bar of 100 mm by which the printer is
 * checked. A4; it stays whole on letter paper when it is printed at 100 %.
 */
export async function calibrationPdf(fonts: FontFiles, draw: DrawForeign): Promise<Uint8Array> {
  const pen = await Pen.begin(fonts, draw, 'Calibration card')
  const page = pen.pdf.addPage(PageSizes.A4)
  const left = (210 - CARD.width) / 2
  const shape = (d: string, x: number, y: number) =>
    page.drawSvgPath(d, { x: (left + x) * POINTS, y: page.getHeight() - (TOP + y) * POINTS, color: INK })
  const mm = (v: number) => (v * POINTS).toFixed(3)
  const [a, b] = [CARD.cross / 2, CARD.arm / 2]
  const cross =
    `M${mm(-a)} ${mm(-b)}H${mm(-b)}V${mm(-a)}H${mm(b)}V${mm(-b)}H${mm(a)}` +
    `V${mm(b)}H${mm(b)}V${mm(a)}H${mm(-b)}V${mm(b)}H${mm(-a)}Z`
  for (const [x, y] of CARD_CROSSES) shape(cross, x, y)
  for (const [x, y] of cardDots())
    page.drawCircle({
      x: (left + x) * POINTS,
      y: page.getHeight() - (TOP + y) * POINTS,
      size: (CARD.dot / 2) * POINTS,
      color: INK,
    })
  const foot = CARD.height + 14
  const from = (CARD.width - CARD.bar) / 2
  const bar = `M0 0H${mm(CARD.bar)}V${mm(1.2)}H0Z`
  shape(bar, from, foot)
  for (let tick = 0; tick <= CARD.bar; tick += 10)
    shape(`M${mm(-0.1)} ${mm(-2)}H${mm(0.1)}V0H${mm(-0.1)}Z`, from + tick, foot)
  const lines = [
    'Print at 100 %, without fitting to the page. This bar must measure 100 mm; if it does not, enter what it measures.',
    'Lay stencils inside the dots, flat, none of them on a dot or a cross. Take the picture with all four crosses in it.',
  ]
  for (const [i, line] of lines.entries())
    pen.line(page, line, left, TOP + foot + 8 + 5 * i, { size: 8.5, colour: SOFT })
  return pen.pdf.save()
}
