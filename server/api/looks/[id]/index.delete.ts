/** Puts a look away; it can be restored. */
export default defineEventHandler(event => {
  if (!useRepositories().looks.remove(getRouterParam(event, 'id')!, now()))
    throw refusal(404, 'There is no such look; it may have been deleted already.')
  return { removed: true }
})
