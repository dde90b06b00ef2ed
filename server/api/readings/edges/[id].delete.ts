/** Takes a reading of the bridge ladder back. */
export default defineEventHandler(event => {
  if (!useRepositories().readings.remove('edges', Number(getRouterParam(event, 'id'))))
    throw refusal(404, 'There is no such reading.')
  usePaintAhead().soon()
  return useRepositories().readings.all()
})
