import { randomUUID } from 'node:crypto'
import { z } from 'zod'

const body = z.strictObject({
  file: z.string().max(8 * 1024 * 1024),
  widthMm: z.number().optional(),
  about: notesSchema.partial().required({ name: true, kind: true }),
  analysis: summarySchema.optional(),
  mendedFrom: z.string().nullable().default(null),
})

/** Sheets of up to this many openings are measured here, whatever a page says of them. */
const MOST_OPENINGS = 400

/** Takes in a sheet from the text of an SVG or DXF file, with its real width when the file gives none. */
export default defineEventHandler(async event => {
  const sent = body.safeParse(await bodyJson(event))
  if (!sent.success) throw refusal(400, schemaSentences(sent.error))
  const { file, widthMm, about, analysis, mendedFrom } = sent.data
  const { stencils } = useRepositories()
  const { read, measures } = await jobFor(event, 'readSheet', { file, widthMm, mostMeasured: MOST_OPENINGS })
  if (read.ask !== null) throw refusal(422, read.ask)
  if (mendedFrom !== null && !stencils.find(mendedFrom))
    throw refusal(422, 'The sheet that this one was mended from is not in the drawer.')
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
      // A page's own measures count only where the sheet is too large to measure here.
      analysis: measures ?? analysis ?? null,
      mendedFrom,
    },
    file,
    now(),
  )
  setResponseStatus(event, 201)
  return { stencil: meta, notes: read.notes }
})
