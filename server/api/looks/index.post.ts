import { randomUUID } from 'node:crypto'

/** Takes in a look: a new one, a copy or a file. An id that is in use is replaced by a new one. */
export default defineEventHandler(async event => {
  const { look } = await lookFrom(event, await bodyText(event), null)
  const { looks, tries } = useRepositories()
  const known = tries.incoming(look)
  const made = looks.create(looks.knows(look.id) ? { ...known, id: randomUUID() } : known, now())
  usePaintAhead().soon()
  setResponseStatus(event, 201)
  return made
})
