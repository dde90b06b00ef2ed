import { madeOf } from '../../../../core/cake'

/**
 * A strip cake that was to be made is made: what was cut is taken from its cakes. Answers with all paints that
 * changed.
 */
export default defineEventHandler(event => {
  const { paints } = useRepositories()
  const kit = paints.all()
  const cake = kit.find(p => p.id === getRouterParam(event, 'id'))
  if (!cake) throw refusal(404, 'There is no such paint in the kit; it may have been taken out.')
  if (!cake.toMake) throw refusal(409, `${cake.name} is made already.`)
  const changed = madeOf(cake, kit, new Date().toISOString().slice(0, 10))
  paints.changeAll(changed)
  return changed
})
