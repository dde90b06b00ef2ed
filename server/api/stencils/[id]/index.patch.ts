/** Changes some of what is noted of a sheet; what was not sent stays as it is by then. */
export default defineEventHandler(async event => {
  // Read before the row: a slow page must not put back what a quick one changed meanwhile.
  const sent = notesSchema.partial().safeParse(await bodyJson(event))
  const { about } = sheetOf(event)
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  if (sent.data.groups?.some(g => g.openings.some(n => n >= (about.analysis?.openings ?? Infinity))))
    throw refusal(422, 'A group names an opening that the stencil does not have.')
  const changed = useRepositories().stencils.change(about.id, sent.data)
  usePaintAhead().soon()
  return changed
})
