/** Brings a deleted run back. */
export default defineEventHandler(event => {
  const { runs } = useRepositories()
  const id = getRouterParam(event, 'id')!
  if (!runs.restore(id)) throw refusal(404, 'There is no such run.')
  return runs.find(id)
})
