/** Takes a paint out of the kit; looks that use it keep its name and colour. */
export default defineEventHandler(event => {
  if (!useRepositories().paints.remove(getRouterParam(event, 'id') ?? ''))
    throw refusal(404, 'There is no such paint in the kit.')
  usePaintAhead().soon()
  return { removed: true }
})
