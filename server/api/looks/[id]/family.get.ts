/** The tries of a look, itself among them, by their letters; those that cannot be read are left out. */
export default defineEventHandler(event => {
  const family = useRepositories().tries.of(getRouterParam(event, 'id') ?? '')
  if (!family) throw refusal(404, 'There is no such look; it may have been deleted.')
  return family
})
