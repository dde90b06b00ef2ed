import { runsCsv } from '../../../core/formats'

/** All runs as a table, a row for each step. */
export default defineEventHandler(event => {
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="janusform-log.csv"')
  return runsCsv(
    useRepositories()
      .runs.all()
      .map(r => r.run),
  )
})
