import { sheetSvg } from '#core/formats'

/** The cut file as SVG in mm. */
export default defineEventHandler(event => {
  const { about, sheet } = sheetOf(event)
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(about.name)}.svg"`)
  setHeader(event, 'content-type', 'image/svg+xml')
  return sheetSvg(sheet, about.name)
})
