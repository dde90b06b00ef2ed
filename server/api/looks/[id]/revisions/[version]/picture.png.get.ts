import { factsOf } from '../../../../../db/lookFacts'
import { lookSent } from '../../../../../pool/paintAhead'

/** Pixels to the millimetre of the small pictures in the list of versions. */
const SMALL_PX = 0.75

/** The painted face of an earlier version, small. */
export default defineEventHandler(async event => {
  const house = useRepositories()
  const id = getRouterParam(event, 'id') ?? ''
  const version = Number(getRouterParam(event, 'version'))
  const found = house.revisions.find(id, version)
  if (!found) throw refusal(404, 'There is no such version of this look.')
  const facts = factsOf(found.look)
  const tag = `"${usePaintAhead().keyOf(facts)}-small"`
  setHeader(event, 'etag', tag)
  setHeader(event, 'cache-control', 'no-cache')
  if (getRequestHeader(event, 'if-none-match') === tag) return sendNoContent(event, 304)
  const sent = lookSent(house, JSON.stringify(found.look), facts.sheets)
  const png = paintedPngs.get(tag) ?? (await jobFor(event, 'picture', { look: sent, px: SMALL_PX }))
  paintedPngs.set(tag, png)
  setHeader(event, 'content-type', 'image/png')
  return png
})
