import { runSchema } from '../../../core/chair'

const roomSchema = runSchema.shape.room.unwrap()

/** Keeps the room in which people are painted. */
export default defineEventHandler(async event => {
  const sent = roomSchema.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  useRepositories().settings.setRoom(sent.data)
  // What is dry and what is not follows the room, in every picture.
  usePaintAhead().soon()
  return sent.data
})
