import { SizeError } from './assemble'
import { readDxf } from './readDxf'
import { readSvg, type SheetRead } from './readSvg'

/** A file as it was read, and whether its real size must be asked for. */
export interface FileRead extends SheetRead {
  ask: string | null
}

/**
 * Reads a stencil file, SVG or DXF, by its content.
 * @param widthMm the sheet's real width, when the painter has given it
 * @throws RangeError with one sentence when the file cannot be used at any size
 */
export function readSheetFile(text: string, widthMm?: number): FileRead {
  const read = /^[\s\uFEFF]*</.test(text) ? readSvg : readDxf
  if (read === readDxf && !/^AutoCAD Binary|\bSECTION\b/.test(text.slice(0, 4000)))
    throw new RangeError('This is neither an SVG nor a DXF file.')
  if (widthMm !== undefined) {
    if (!(widthMm >= 5 && widthMm <= 1200))
      throw new RangeError("The stencil's real width must be between 5 and 1200 mm.")
    // Read once to see how many units wide it is, then at the scale that gives the asked width, so that
    // curves are flattened at true size.
    const units = read(text, { mmPerUnit: 1, loose: true }).sheet.width
    return { ...read(text, { mmPerUnit: widthMm / units }), ask: null }
  }
  try {
    const result = read(text)
    return {
      ...result,
      ask: result.sized ? null : 'The file gives no real size. Measure one edge of the stencil and enter it.',
    }
  } catch (error) {
    if (!(error instanceof SizeError)) throw error
    const { sheet, notes } = read(text, { loose: true })
    return { sheet, notes, sized: false, ask: error.message }
  }
}
