/** One earlier version of a look. */
export default defineEventHandler(event => {
  const found = useRepositories().revisions.find(
    getRouterParam(event, 'id') ?? '',
    Number(getRouterParam(event, 'version')),
  )
  if (!found) throw refusal(404, 'There is no such version of this look.')
  return found
})
