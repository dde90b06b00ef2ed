/** Puts a run away; it can be brought back. */
export default defineEventHandler(event => {
  if (!useRepositories().runs.remove(getRouterParam(event, 'id')!, now()))
    throw refusal(404, 'There is no such run; it may have been deleted already.')
  return { removed: true }
})
