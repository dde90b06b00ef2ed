import { readSwatch } from '#core/paint'

/** Reads a paint's swatch with the simulated colour reader; `?n=` is the number of the reading. */
export default defineEventHandler(event => {
  const paint = useRepositories().paints.find(getRouterParam(event, 'id') ?? '')
  const n = Number(getQuery(event).n ?? 1)
  if (!paint) throw refusal(404, 'There is no such paint in the kit.')
  if (!Number.isInteger(n)) throw refusal(400, 'The number "n" of the reading must be a whole number.')
  return readSwatch(paint, n + paint.id.length)
})
