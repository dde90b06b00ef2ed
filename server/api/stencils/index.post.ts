import { randomUUID } from 'node:crypto'
import { z } from 'zod'

const body = z.strictObject({
  file: z.string().max(8 * 1024 * 1024),
  widthMm: z.number().optional(),
  about: notesSchema.partial().required({ name: true, kind: true }),
  analysis: summarySchema.optional(),
  mendedFrom: z.string().nullable().default(null),
})

/** The answer waits for the measures so long, ms; those of a fine sheet come after it. */
const PATIENCE_MS = 1200

/**
 * Measures a sheet and keeps what was found: what a page said of it counts only until then. A sheet that
 * cannot be measured is kept without.
 */
async function measure(id: string, geometry: string): Promise<void> {
  const found = await usePool()
    .run('measureSheet', geometry)
    .catch(() => null)
  useRepositories().stencils.measured(id, found)
}

/** Takes in a sheet from the text of an SVG or DXF file, with its real width when the file gives none. */
export default defineEventHandler(async event => {
  const sent = body.safeParse(await bodyWithFile(event))
  if (!sent.success) throw refusal(400, schemaSentences(sent.error))
  const { file, widthMm, about, analysis, mendedFrom } = sent.data
  const { stencils } = useRepositories()
  const { notes, ask, ...shape } = await jobFor(event, 'readSheet', { file, widthMm })
  if (ask !== null) throw refusal(422, ask)
  if (mendedFrom !== null && !stencils.find(mendedFrom))
    throw refusal(422, 'The stencil that this one was mended from is not in the drawer.')
  const id = randomUUID()
  stencils.create(
    id,
    shape,
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
      analysis: analysis ?? null,
      mendedFrom,
    },
    file,
    now(),
  )
  await Promise.race([measure(id, shape.geometry), new Promise(done => setTimeout(done, PATIENCE_MS))])
  setResponseStatus(event, 201)
  return { stencil: stencils.find(id)!, notes }
})
