import { randomUUID } from 'node:crypto'
import { withoutUnseen } from '#core/look'

/** Takes in a look: a new one, a copy or a file. An id that is in use is replaced by a new one. */
export default defineEventHandler(async event => {
  const sent = (await lookFrom(event, await bodyText(event), null)).look
  const look = { ...sent, name: withoutUnseen(sent.name).trim() || 'Look' }
  const { looks, tries } = useRepositories()
  const known = tries.incoming(look)
  const made = looks.create(looks.knows(look.id) ? { ...known, id: randomUUID() } : known, now())
  usePaintAhead().soon()
  setResponseStatus(event, 201)
  return made
})
