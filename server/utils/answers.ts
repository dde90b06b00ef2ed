import type { H3Event } from 'h3'
import { missingSheets, parseLook, type Look } from '#core/look'

/** The largest body that is read, bytes. */
const MOST_BYTES = 8 * 1024 * 1024

/** An error answer: one clear sentence, and all of them when there are several. */
export function refusal(
  statusCode: number,
  sentences: string | string[],
  data: Record<string, unknown> = {},
) {
  const list = [sentences].flat()
  return createError({ statusCode, message: list[0], data: { sentences: list, ...data } })
}

/** The body as text; refused when it is larger than any sheet or look can be. */
export async function bodyText(event: H3Event): Promise<string> {
  const announced = Number(getRequestHeader(event, 'content-length') ?? 0)
  if (announced > MOST_BYTES)
    throw refusal(
      413,
      `The file is ${Math.round(announced / 1048576)} MB; files of up to ${MOST_BYTES / 1048576} MB are read.`,
    )
  const text = (await readRawBody(event, 'utf8')) ?? ''
  if (text.length > MOST_BYTES) throw refusal(413, `The file is larger than ${MOST_BYTES / 1048576} MB.`)
  return text
}

/** The body as JSON. */
export async function bodyJson(event: H3Event): Promise<unknown> {
  const text = await bodyText(event)
  try {
    return JSON.parse(text)
  } catch {
    throw refusal(400, 'This is not JSON: the file is damaged or of another kind.')
  }
}

/** A look from what a page sent, checked against the schema and the drawer. */
export function lookFrom(data: unknown): Look {
  const parsed = parseLook(data)
  if (!parsed.ok) throw refusal(422, parsed.errors)
  const { stencils } = useRepositories()
  const missing = missingSheets(parsed.look, id => stencils.find(id) !== null)
  if (missing.length) throw refusal(422, missing)
  return parsed.look
}

/** The look that a route names, or 404. */
export function lookOf(event: H3Event) {
  const found = useRepositories().looks.find(getRouterParam(event, 'id') ?? '')
  if (!found) throw refusal(404, 'There is no such look; it may have been deleted.')
  return found
}

export const now = () => new Date().toISOString()

/** A name as part of a file's name. */
export const fileName = (name: string) =>
  name
    .normalize('NFKD')
    .replace(/[^\w -]+/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase() || 'look'
