/** Takes a sheet out of the drawer; looks that use it keep it, and it can be brought back. */
export default defineEventHandler(event => {
  const id = getRouterParam(event, 'id') ?? ''
  if (!useRepositories().stencils.takeOut(id, new Date().toISOString()))
    throw refusal(404, 'There is no such stencil in the drawer.')
  return { deleted: true }
})
