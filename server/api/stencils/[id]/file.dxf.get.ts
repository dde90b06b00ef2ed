/** The cut file as DXF in mm. */
export default defineEventHandler(async event => {
  const { about, geometry } = sheetOf(event)
  const file = await jobFor(event, 'drawSheet', { geometry, name: about.name, as: 'dxf' })
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(about.name)}.dxf"`)
  setHeader(event, 'content-type', 'image/vnd.dxf')
  return file
})
