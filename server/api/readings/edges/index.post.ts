/** Takes a reading of the bridge ladder. */
export default defineEventHandler(async event => {
  const sent = readingSchemas.edges.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  useRepositories().readings.addEdge(sent.data, now())
  setResponseStatus(event, 201)
  usePaintAhead().soon()
  return useRepositories().readings.all()
})
