/** The photograph that a sheet was read from. */
export default defineEventHandler(event => {
  const { about } = sheetOf(event)
  const jpeg = useRepositories().stencils.photo(about.id)
  if (!jpeg) throw refusal(404, 'No photograph is kept of this sheet.')
  setHeader(event, 'content-type', 'image/jpeg')
  setHeader(event, 'cache-control', 'private, max-age=300')
  return jpeg
})
