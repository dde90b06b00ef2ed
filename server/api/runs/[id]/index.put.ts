import { parseRun } from '../../../../core/chair'

/** More often than this no device changes a run. */
const MOST_SENT = 1_000_000

/**
 * Keeps a run, once, however often it is sent; and tells where else the same look is being painted, and whether
 * it was deleted meanwhile.
 */
export default defineEventHandler(async event => {
  const body = Object(await bodyJson(event)) as { run?: unknown; sent?: unknown }
  const parsed = parseRun(body.run)
  if (!parsed.ok) throw refusal(422, parsed.errors)
  const { run } = parsed
  if (run.id !== getRouterParam(event, 'id')) throw refusal(422, 'The run is of another id than its address.')
  const { runs, looks } = useRepositories()
  const counted = body.sent === undefined || body.sent === null
  const sent = counted ? runs.sent(run.id) + 1 : (body.sent as number)
  if (!Number.isInteger(sent) || sent < 1 || sent > MOST_SENT)
    throw refusal(422, `"sent" must be a whole number from 1 to ${MOST_SENT}.`)
  const what = runs.put(run, sent, now())
  // What was ended tells of the painter's pace, and all times of looks follow.
  if (run.endedAt !== null) usePaintAhead().soon()
  return {
    what,
    sent: runs.sent(run.id),
    elsewhere: run.endedAt === null ? runs.elsewhere(run, new Date()) : [],
    lookGone: run.look.id !== null && looks.listed(run.look.id) === null,
  }
})
