/** Brings back a sheet that was taken out of the drawer. */
export default defineEventHandler(event => {
  const { stencils } = useRepositories()
  const id = getRouterParam(event, 'id') ?? ''
  if (!stencils.bringBack(id)) throw refusal(404, 'There is no such stencil among those that were deleted.')
  return stencils.find(id)
})
