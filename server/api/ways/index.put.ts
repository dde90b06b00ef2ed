import { waysSchema } from '../../../core/look'

/** Keeps how the painter works. */
export default defineEventHandler(async event => {
  const sent = waysSchema.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  const { ways } = useRepositories()
  ways.put(sent.data)
  return ways.all()
})
