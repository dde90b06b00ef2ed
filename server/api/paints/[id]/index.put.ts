import { idSchema } from '#core/look'

/** Changes a paint of the kit; with `?back` one that was deleted is put back under its id. */
export default defineEventHandler(async event => {
  const sent = paintSchema.safeParse(await bodyJson(event))
  const id = getRouterParam(event, 'id') ?? ''
  const named = idSchema.safeParse(id)
  if (!named.success) throw refusal(422, 'A paint cannot have such an id.')
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  const paint = leastSafe({ id, ...sent.data })
  const { paints } = useRepositories()
  const back = getQuery(event).back !== undefined
  if (back && !paints.knows(id)) paints.create(paint)
  else if (!paints.change(paint))
    throw refusal(404, 'There is no such paint in the kit; it may have been taken out.')
  usePaintAhead().soon()
  return paint
})
