import { sheetSvg } from '#core/formats'

/** A clean drawing of a sheet, made from its geometry alone: nothing of an uploaded file is passed on. */
export default defineEventHandler(event => {
  const { about, sheet } = sheetOf(event)
  setHeader(event, 'content-type', 'image/svg+xml')
  setHeader(event, 'cache-control', 'max-age=60')
  return sheetSvg(sheet, about.name)
})
