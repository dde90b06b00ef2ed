import { StaleWrite, type LookRecord } from '../../../db/looks'

function saved(take: LookTaken & { base: number }): LookRecord {
  try {
    const record = useRepositories().looks.save(take.look, take.base, now())
    if (record) return record
  } catch (error) {
    if (error instanceof StaleWrite) throw refusal(409, error.message, { theirs: error.theirs })
    throw error
  }
  throw refusal(404, 'There is no such look; it may have been deleted.')
}

/**
 * Saves a look over the version that it was made from: `{ base, look }`. A stale save gets 409 with the newer
 * version.
 */
export default defineEventHandler(async event => {
  const { look, base } = await lookFrom(event, await bodyText(event), 'look')
  if (typeof base !== 'number' || !Number.isInteger(base) || base < 1)
    throw refusal(400, 'The save does not name the version that it was made from ("base").')
  if (look.id !== getRouterParam(event, 'id'))
    throw refusal(400, 'The look that was sent is another one than the one named.')
  const { version, savedAt } = saved({ look, base })
  usePaintAhead().soon()
  return { version, savedAt }
})
