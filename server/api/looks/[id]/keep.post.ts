/** Makes one try the look of its family; the others stay as tries. */
export default defineEventHandler(event => {
  const family = useRepositories().tries.keep(getRouterParam(event, 'id') ?? '', now())
  if (!family) throw refusal(404, 'There is no such look; it may have been deleted.')
  return family
})
