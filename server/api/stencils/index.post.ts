import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { analyse, readSheetFile, summaryOf, type FileRead } from '#core/stencil'

const body = z.strictObject({
  file: z.string().max(8 * 1024 * 1024),
  widthMm: z.number().optional(),
  about: notesSchema.partial().required({ name: true, kind: true }),
  analysis: summarySchema.optional(),
  mendedFrom: z.string().nullable().default(null),
})

/** Sheets of up to this many openings are measured here when the page has not done it. */
const QUICK = 400

/** Takes in a sheet from the text of an SVG or DXF file, with its real width when the file gives none. */
export default defineEventHandler(async event => {
  const sent = body.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(400, schemaSentences(sent.error))
  const { file, widthMm, about, analysis, mendedFrom } = sent.data
  const { stencils } = useRepositories()
  let read: FileRead
  try {
    read = readSheetFile(file, widthMm)
  } catch (error) {
    if (error instanceof RangeError) throw refusal(422, error.message)
    throw error
  }
  if (read.ask !== null) throw refusal(422, read.ask)
  if (mendedFrom !== null && !stencils.find(mendedFrom))
    throw refusal(422, 'The sheet that this one was mended from is not in the drawer.')
  const measured = analysis ?? (read.sheet.openings.length <= QUICK ? summaryOf(analyse(read.sheet)) : null)
  const meta = stencils.create(
    randomUUID(),
    read.sheet,
    {
      tags: [],
      zones: [],
      heading: null,
      copies: 1,
      notes: '',
      material: 'mylar',
      cleanedOn: null,
      groups: [],
      ...about,
      analysis: measured,
      mendedFrom,
    },
    file,
    now(),
  )
  setResponseStatus(event, 201)
  return { stencil: meta, notes: read.notes }
})
