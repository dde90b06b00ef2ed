import { StaleWrite } from '../../../db/looks'

/**
 * Saves a look over the version that it was made from: `{ base, look }`. A stale save gets 409 with the newer
 * version.
 */
export default defineEventHandler(async event => {
  const body = (await bodyJson(event)) as { base?: unknown; look?: unknown } | null
  const base = body?.base
  if (typeof base !== 'number' || !Number.isInteger(base) || base < 1)
    throw refusal(400, 'The save does not name the version that it was made from ("base").')
  const look = lookFrom(body?.look)
  if (look.id !== getRouterParam(event, 'id'))
    throw refusal(400, 'The look that was sent is another one than the one named.')
  try {
    const saved = useRepositories().looks.save(look, base, now())
    if (!saved) throw refusal(404, 'There is no such look; it may have been deleted.')
    return { version: saved.version, savedAt: saved.savedAt }
  } catch (error) {
    if (error instanceof StaleWrite) throw refusal(409, error.message, { theirs: error.theirs })
    throw error
  }
})
