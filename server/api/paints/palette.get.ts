import { csvOf, gplOf } from '#core/formats'

/** The kit's colours as a palette: `?as=gpl` or `?as=csv`. */
export default defineEventHandler(event => {
  const csv = getQuery(event).as === 'csv'
  const swatches = useRepositories().paints.all()
  setHeader(event, 'content-type', csv ? 'text/csv; charset=utf-8' : 'text/plain; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="kit.${csv ? 'csv' : 'gpl'}"`)
  return csv ? csvOf(swatches) : gplOf('Janusform kit', swatches)
})
