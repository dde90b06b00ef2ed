import { sparklesSchema } from '../../../core/look'

/** Keeps the glitters and gems of the painter's own. */
export default defineEventHandler(async event => {
  const sent = sparklesSchema.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  const { sparkles } = useRepositories()
  sparkles.put(sent.data)
  return sparkles.all()
})
