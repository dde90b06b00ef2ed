/** Takes a reading of what a tool lets go, holds or how wide it is. */
export default defineEventHandler(async event => {
  const sent = readingSchemas.tools.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  useRepositories().readings.addTool(sent.data, now())
  setResponseStatus(event, 201)
  usePaintAhead().soon()
  return useRepositories().readings.all()
})
