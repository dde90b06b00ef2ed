/** All runs as one file. */
export default defineEventHandler(event => {
  setHeader(event, 'content-type', 'application/json')
  setHeader(event, 'content-disposition', 'attachment; filename="janusform-log.json"')
  return JSON.stringify(
    {
      format: 'janusform-log',
      version: 1,
      runs: useRepositories()
        .runs.all()
        .map(r => r.run),
    },
    null,
    1,
  )
})
