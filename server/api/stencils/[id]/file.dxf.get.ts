import { sheetDxf } from '#core/formats'

/** The cut file as DXF in mm. */
export default defineEventHandler(event => {
  const { about, sheet } = sheetOf(event)
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(about.name)}.dxf"`)
  setHeader(event, 'content-type', 'image/vnd.dxf')
  return sheetDxf(sheet)
})
