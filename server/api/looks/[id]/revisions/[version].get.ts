/** One earlier version of a look. */
export default defineEventHandler(event => {
  const { look } = lookOf(event)
  const version = Number(getRouterParam(event, 'version'))
  const found = useRepositories()
    .looks.revisions(look.id)
    .find(r => r.version === version)
  if (!found) throw refusal(404, 'There is no such version of this look.')
  return found
})
