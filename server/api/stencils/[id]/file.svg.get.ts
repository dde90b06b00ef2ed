/** The cut file as SVG in mm, its outlines as curves. */
export default defineEventHandler(async event => {
  const { about, geometry } = sheetOf(event)
  const file = await jobFor(event, 'drawSheet', { geometry, name: about.name, as: 'curves' })
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(about.name)}.svg"`)
  setHeader(event, 'content-type', 'image/svg+xml')
  return file
})
