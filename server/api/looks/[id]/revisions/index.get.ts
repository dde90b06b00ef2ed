/**
 * Every version of a look that was saved, the newest first, without the looks themselves; of a deleted look
 * too.
 */
export default defineEventHandler(event => {
  const id = getRouterParam(event, 'id') ?? ''
  const { looks, revisions } = useRepositories()
  if (!looks.knows(id)) throw refusal(404, 'There is no such look; it may have been deleted.')
  return revisions.list(id)
})
