/** The sheet at 1:1 on A4, with a check bar. */
export default defineEventHandler(async event => {
  const { about, geometry } = sheetOf(event)
  const pdf = await jobFor(event, 'drawSheet', { geometry, name: about.name, as: 'pdf' })
  setHeader(event, 'content-type', 'application/pdf')
  setHeader(event, 'content-disposition', `inline; filename="${fileName(about.name)}.pdf"`)
  return pdf
})
