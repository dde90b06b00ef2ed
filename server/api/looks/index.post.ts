import { randomUUID } from 'node:crypto'

/** Takes in a look: a new one, a copy or a file. An id that is in use is replaced by a new one. */
export default defineEventHandler(async event => {
  const { look } = await lookFrom(event, await bodyText(event), null)
  const { looks } = useRepositories()
  const made = looks.create(looks.knows(look.id) ? { ...look, id: randomUUID() } : look, now())
  usePaintAhead().soon()
  setResponseStatus(event, 201)
  return made
})
