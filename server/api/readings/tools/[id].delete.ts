/** Takes a reading of what a tool lets go, holds or how wide it is back. */
export default defineEventHandler(event => {
  if (!useRepositories().readings.remove('tools', Number(getRouterParam(event, 'id'))))
    throw refusal(404, 'There is no such reading.')
  usePaintAhead().soon()
  return useRepositories().readings.all()
})
