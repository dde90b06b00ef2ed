import { isDeepStrictEqual } from 'node:util'
import { freshLook } from '#core/look'

/** Forgets a look that is still just as it was begun; an imported one, or one with a measured face, stays. */
function forgetUntouched(id: string): boolean {
  const { looks } = useRepositories()
  const kept = looks.find(id)?.look
  return kept !== undefined && isDeepStrictEqual(kept, freshLook(id, kept.name)) && looks.discard(id)
}

/** Puts a look away; it can be restored. With `untouched`, one that was never painted on is forgotten instead. */
export default defineEventHandler(event => {
  if ('untouched' in getQuery(event)) return { removed: forgetUntouched(getRouterParam(event, 'id')!) }
  if (!useRepositories().looks.remove(getRouterParam(event, 'id')!, now()))
    throw refusal(404, 'There is no such look; it may have been deleted already.')
  return { removed: true }
})
