/** The sheet at 1:1 on A4, with a check bar. */
export default defineEventHandler(async event => {
  const { about, sheet } = sheetOf(event)
  let pdf: Uint8Array
  try {
    pdf = await sheetPdf(sheet, about.name)
  } catch (error) {
    if (error instanceof RangeError) throw refusal(422, error.message)
    throw error
  }
  setHeader(event, 'content-type', 'application/pdf')
  setHeader(event, 'content-disposition', `inline; filename="${fileName(about.name)}.pdf"`)
  return pdf
})
