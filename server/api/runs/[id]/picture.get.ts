/** The picture of what was painted. */
export default defineEventHandler(event => {
  const found = useRepositories().runs.picture(getRouterParam(event, 'id') ?? '')
  if (!found) throw refusal(404, 'There is no picture of this run.')
  setHeader(event, 'content-type', found[0] === 0x89 ? 'image/png' : 'image/jpeg')
  setHeader(event, 'cache-control', 'private, no-cache')
  return found
})
