import { paintsOf } from '#core/look'

/** The looks that use a paint or split cake: their ids and names. */
export default defineEventHandler(event => {
  const id = getRouterParam(event, 'id')
  return useRepositories()
    .looks.all()
    .filter(({ look }) => look.steps.some(s => paintsOf(s).some(p => p.id === id)))
    .map(({ look }) => ({ id: look.id, name: look.name }))
})
