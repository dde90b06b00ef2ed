/** Changes what is noted of a sheet. */
export default defineEventHandler(async event => {
  const { about } = sheetOf(event)
  const sent = notesSchema.partial().safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(422, schemaSentences(sent.error))
  if (sent.data.groups?.some(g => g.openings.some(n => n >= (about.analysis?.openings ?? Infinity))))
    throw refusal(422, 'A group names an opening that the sheet does not have.')
  const { name, kind, tags, zones, heading, copies, notes, material, cleanedOn, groups } = about
  return useRepositories().stencils.change(about.id, {
    name,
    kind,
    tags,
    zones,
    heading,
    copies,
    notes,
    material,
    cleanedOn,
    groups,
    ...sent.data,
  })
})
