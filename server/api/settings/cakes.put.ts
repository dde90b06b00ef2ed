import { triedCakesSchema } from '../../../core/cake'

/** Keeps the strip cakes that are being tried side by side. */
export default defineEventHandler(async event => {
  const sent = triedCakesSchema.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  useRepositories().settings.setCakes(sent.data)
  return sent.data
})
