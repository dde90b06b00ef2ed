/**
 * Takes runs from a file, JSON or CSV: all of them or, when one cannot be read, none. One that is there already
 * stays as it is.
 */
export default defineEventHandler(async event => {
  const read = await jobFor(event, 'readRuns', await bodyText(event))
  if (!read.ok) throw refusal(422, read.errors)
  const { runs } = useRepositories()
  const taken = runs.take(read.runs, now())
  usePaintAhead().soon()
  setResponseStatus(event, 201)
  return { taken, known: read.runs.length - taken }
})
