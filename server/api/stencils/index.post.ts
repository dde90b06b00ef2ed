import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { readSvg, STENCIL_KINDS, type SheetRead } from '#core/stencil'

const query = z.object({ name: z.string().trim().min(1).max(80), kind: z.enum(STENCIL_KINDS).default('motif') })

/** Takes in a sheet from the text of an SVG file. */
export default defineEventHandler(async (event) => {
  const about = query.safeParse(getQuery(event))
  if (!about.success) throw refusal(400, `Give the sheet a name of up to 80 letters and a kind: ${STENCIL_KINDS.join(', ')}.`)
  const svg = await bodyText(event)
  let read: SheetRead
  try {
    read = readSvg(svg)
  } catch (error) {
    if (error instanceof RangeError) throw refusal(422, error.message)
    throw error
  }
  const meta = useHouse().stencils.create(read.sheet, { id: randomUUID(), ...about.data, tags: [], zones: [], heading: null, copies: 1, notes: '' }, svg, now())
  setResponseStatus(event, 201)
  return { stencil: meta, notes: read.sized ? read.notes : [...read.notes, 'The file gives no real size; it was read at 96 px to the inch. Check the width.'] }
})
