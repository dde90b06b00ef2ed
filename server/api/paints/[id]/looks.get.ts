/** The looks that use a paint or split cake: their ids and names. */
export default defineEventHandler(event => {
  const id = getRouterParam(event, 'id') ?? ''
  return useRepositories()
    .looks.list()
    .filter(look => look.paints.includes(id))
    .map(look => ({ id: look.id, name: look.name }))
})
