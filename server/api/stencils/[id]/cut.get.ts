import { cut } from '#core/cutter'
import { sheetDxf, sheetSvg } from '#core/formats'

/** Sends the cut file to the simulated cutter. `?as=dxf` cuts from the DXF, else from the SVG. */
export default defineEventHandler(event => {
  const { about, sheet } = sheetOf(event)
  return cut(getQuery(event).as === 'dxf' ? sheetDxf(sheet) : sheetSvg(sheet, about.name))
})
