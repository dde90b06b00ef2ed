/** Brings a deleted look back. */
export default defineEventHandler(event => {
  if (!useRepositories().looks.restore(getRouterParam(event, 'id')!))
    throw refusal(404, 'There is no deleted look of that id.')
  usePaintAhead().soon()
  return lookOf(event)
})
