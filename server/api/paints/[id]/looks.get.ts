import { titleAmong } from '#core/look'

/** The looks that use a paint or split cake: their ids and names. */
export default defineEventHandler(event => {
  const id = getRouterParam(event, 'id') ?? ''
  const all = useRepositories().looks.list()
  return all
    .filter(look => look.paints.includes(id))
    .map(look => ({ id: look.id, name: titleAmong(look, all) }))
})
