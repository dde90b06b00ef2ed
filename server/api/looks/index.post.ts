import { randomUUID } from 'node:crypto'

/** Takes in a look: a new one, a copy or a file. An id that is in use is replaced by a new one. */
export default defineEventHandler(async event => {
  const look = lookFrom(await bodyJson(event))
  const { looks } = useRepositories()
  setResponseStatus(event, 201)
  return looks.create(looks.knows(look.id) ? { ...look, id: randomUUID() } : look, now())
})
