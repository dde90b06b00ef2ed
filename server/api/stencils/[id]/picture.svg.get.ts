/** A clean drawing of a sheet, made from its geometry alone: nothing of an uploaded file is passed on. */
export default defineEventHandler(async event => {
  const { about, geometry } = sheetOf(event)
  // A sheet's shape never changes; its name does.
  const tag = `"${encodeURIComponent(about.name)}"`
  setHeader(event, 'etag', tag)
  setHeader(event, 'cache-control', 'private, max-age=60')
  if (getRequestHeader(event, 'if-none-match') === tag) return sendNoContent(event, 304)
  const drawing = await jobFor(event, 'drawSheet', { geometry, name: about.name, as: 'svg' })
  setHeader(event, 'content-type', 'image/svg+xml')
  return drawing
})
