/** The look as a file. */
export default defineEventHandler(event => {
  const { look } = lookOf(event)
  setHeader(event, 'content-disposition', `attachment; filename="${fileName(look.name)}.janusform-look.json"`)
  setHeader(event, 'content-type', 'application/json')
  return `${JSON.stringify(look, null, 2)}\n`
})
