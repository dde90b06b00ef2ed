import { z } from 'zod'

const listSchema = z.array(z.object({ id: z.string() }).loose()).max(200, 'must not be more than 200')

/** Changes several paints of the kit at once, or none of them: what undoes a change of several. */
export default defineEventHandler(async event => {
  const list = listSchema.safeParse(await bodyJson(event))
  if (!list.success) throw refusal(422, schemaSentences(list.error))
  const changed = list.data.map(({ id, ...rest }) => {
    const sent = paintSchema.safeParse(rest)
    if (!sent.success) throw refusal(422, schemaSentences(sent.error))
    return leastSafe({ id, ...sent.data })
  })
  if (!useRepositories().paints.changeAll(changed))
    throw refusal(404, 'One of these paints is no longer in the kit; none was changed.')
  usePaintAhead().soon()
  return changed
})
