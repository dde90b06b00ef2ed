import { PDFDocument, rgb, StandardFonts } from 'pdf-lib'
import { PAPER } from '../../core/geometry'
import { pathData } from '../../core/formats'
import type { SheetGeometry } from '../../core/stencil'

const POINTS_PER_MM = 72 / 25.4
/** Printers leave about this much of the paper's rim blank, mm (common practice). */
const RIM = 6
const BAR_MM = 50

/**
 * A sheet at 1:1 on A4 with a bar of 50 mm to check the print's size. Throws RangeError when it does not fit.
 */
export async function sheetPdf(sheet: SheetGeometry, name: string): Promise<Uint8Array> {
  const [short, long] = PAPER.A4
  const upright = sheet.width <= short - 2 * RIM && sheet.height <= long - 2 * RIM - 14
  const [w, h] = upright ? [short, long] : [long, short]
  if (sheet.width > w - 2 * RIM || sheet.height > h - 2 * RIM - 14)
    throw new RangeError(
      `The stencil is ${Math.round(sheet.width)} x ${Math.round(sheet.height)} mm: too large for A4 at 1:1. Use the cut file.`,
    )
  const pdf = await PDFDocument.create()
  const page = pdf.addPage([w * POINTS_PER_MM, h * POINTS_PER_MM])
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  // pdf-lib draws path data with y down from the given point, in points times scale.
  const at = { x: (w / 2) * POINTS_PER_MM, y: (h / 2 + 7) * POINTS_PER_MM, scale: POINTS_PER_MM }
  page.drawSvgPath(pathData([sheet.outline]), {
    ...at,
    borderColor: rgb(0.14, 0.13, 0.11),
    borderWidth: 0.25,
  })
  for (const o of sheet.openings)
    page.drawSvgPath(pathData([o.outer, ...o.holes]), { ...at, color: rgb(0.14, 0.13, 0.11) })
  const y = 11 * POINTS_PER_MM
  const x = 12 * POINTS_PER_MM
  const end = x + BAR_MM * POINTS_PER_MM
  page.drawLine({ start: { x, y }, end: { x: end, y }, thickness: 0.8 })
  for (const tick of [x, end])
    page.drawLine({ start: { x: tick, y: y - 4 }, end: { x: tick, y: y + 4 }, thickness: 0.8 })
  const words = name.replace(/[^\x20-\x7E]/g, '?')
  page.drawText(
    `50 mm: measure this bar before you use the print.   ${words}, ${Math.round(sheet.width)} x ${Math.round(sheet.height)} mm, 1:1`,
    { x: end + 10, y: y - 3, size: 8, font },
  )
  return pdf.save()
}
