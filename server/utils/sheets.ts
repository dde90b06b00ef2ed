import { z } from 'zod'
import { MATERIALS, STENCIL_KINDS, type MaterialId } from '#core/stencil'
import { plainZone, ZONE_IDS } from '#core/skin'
import { issueWords, withoutUnseen } from '#core/look'
import type { H3Event } from 'h3'
import type { StencilMeta } from '../db/stencils'

const zoneNames = new Set(ZONE_IDS.map(plainZone))
const count = z.number().int().min(0).max(100_000)

/** A name, without letters that nobody sees: names of files hold such. */
const seen = () => z.string().overwrite(withoutUnseen).trim()

/** What the owner of a sheet can say of it. */
export const notesSchema = z.strictObject({
  name: seen().min(1, 'must not be empty').max(80, 'must not be longer than 80 letters'),
  kind: z.enum(STENCIL_KINDS),
  tags: z.array(seen().min(1).max(30)).max(20),
  zones: z.array(z.string().refine(v => zoneNames.has(v), 'must be a zone of a face or an arm')).max(20),
  heading: z.number().min(-360).max(360).nullable(),
  copies: z.number().int().min(0, 'must not be negative').max(99),
  notes: z.string().max(4000),
  material: z.enum(Object.keys(MATERIALS) as [MaterialId, ...MaterialId[]]),
  cleanedOn: z.iso.date('must be a day such as 2026-05-01').nullable(),
  groups: z
    .array(z.strictObject({ name: seen().min(1).max(40), openings: z.array(count).min(1).max(5000) }))
    .max(30),
})

const length = z.number().min(0).max(2000)
const pointPair = z.tuple([z.number(), z.number()])

/** The measures of a sheet, made by the page's worker. */
export const summarySchema = z.strictObject({
  openings: count,
  openShare: z.number().min(0).max(1),
  bridge: length.nullable(),
  slot: length,
  islands: count,
  margin: length,
  axes: z.array(z.number()).max(60),
  turns: z.array(count).max(60),
  lattice: z.object({ a: pointPair, b: pointPair, residual: z.number() }).nullable(),
})

/** The sheet that a route names with its shape as JSON text, or 404. */
export function sheetOf(event: H3Event): { about: StencilMeta; geometry: string } {
  const { stencils } = useRepositories()
  const id = getRouterParam(event, 'id') ?? ''
  const about = stencils.find(id)
  const geometry = stencils.geometry(id)
  if (!about) throw refusal(404, 'There is no such stencil in the drawer.')
  if (!geometry)
    throw refusal(422, `"${about.name}" is damaged where it is kept. Import it again, or restore a backup.`)
  return { about, geometry }
}

/** One sentence for each thing that a schema found wrong. */
export const schemaSentences = (error: z.ZodError): string[] =>
  error.issues
    .slice(0, 6)
    .map(i => `${i.path.length ? `"${i.path.join('.')}"` : 'What was sent'} ${issueWords(i)}.`)
