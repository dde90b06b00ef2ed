/** The look as an SVG file at true size. */
export default defineEventHandler(async event => {
  const { sent, name } = lookSentOf(event)
  const svg = await jobFor(event, 'lookSvg', sent)
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(name)}.svg"`)
  setHeader(event, 'content-type', 'image/svg+xml')
  return svg
})
