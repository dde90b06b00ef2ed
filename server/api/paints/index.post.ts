import { randomUUID } from 'node:crypto'

/** Takes a paint into the kit. */
export default defineEventHandler(async event => {
  const sent = paintSchema.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  const paint = leastSafe({ id: randomUUID(), ...sent.data })
  useRepositories().paints.create(paint)
  setResponseStatus(event, 201)
  usePaintAhead().soon()
  return paint
})
