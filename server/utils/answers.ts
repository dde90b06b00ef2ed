import type { H3Event } from 'h3'
import { missingSheets, type Look } from '#core/look'
import { Memo } from '#core/memo'
import { DamagedLook, type LookRecord } from '../db/looks'
import { lookRead, type Jobs } from '../pool/jobs'
import { lookSent } from '../pool/paintAhead'
import { JobEnded } from '../pool/pool'
import type { LookSent } from '../pool/worldSent'

/** Grounds that looks were checked against. */
const memo = new Memo(64)

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

/** The body, counted while it is read; refused as soon as it is larger than any sheet or look can be. */
export async function bodyBytes(event: H3Event): Promise<Buffer> {
  const { req, res } = event.node
  const announced = Number(req.headers['content-length'] ?? 0)
  const size = announced
    ? `is ${Math.round(announced / 1048576)} MB`
    : `is larger than ${MOST_BYTES / 1048576} MB`
  const tooLarge = () => refusal(413, `The file ${size}; files of up to ${MOST_BYTES / 1048576} MB are read.`)
  if (announced > MOST_BYTES) throw tooLarge()
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = []
    let bytes = 0
    req.on('data', (part: Buffer) => {
      bytes += part.byteLength
      if (bytes <= MOST_BYTES) return void parts.push(part)
      // The rest is not read: the connection ends with the answer.
      req.pause()
      res.setHeader('connection', 'close')
      reject(tooLarge())
    })
    req.on('end', () => resolve(Buffer.concat(parts)))
    req.on('error', reject)
  })
}

/** The body as text; see bodyBytes. */
export const bodyText = async (event: H3Event): Promise<string> => (await bodyBytes(event)).toString('utf8')

const NO_JSON = 'This is not JSON: the file is damaged or of another kind.'

/** Letters of the longest text that is read and checked on the thread that answers: about 10 ms. */
const QUICK_LETTERS = 60_000
/** The same where it is only read: about 10 ms too. */
const MOST_LETTERS = 300_000

/** The body as JSON, of what has few words. */
export async function bodyJson(event: H3Event): Promise<unknown> {
  const text = await bodyText(event)
  if (text.length > MOST_LETTERS) throw refusal(413, 'This is longer than anything that is kept here.')
  return jsonIn(text)
}

/** The body as JSON that carries a file, as text, under `file`; a long one is read on a worker thread. */
export async function bodyWithFile(event: H3Event): Promise<unknown> {
  const text = await bodyText(event)
  if (text.length <= MOST_LETTERS) return jsonIn(text)
  const { file, rest } = await jobFor(event, 'readSent', text)
  return { ...Object(rest), file }
}

/** A look that was sent, and the version that it was made from, when it names one. */
export interface LookTaken {
  readonly look: Look
  readonly base: unknown
}

/**
 * A look from JSON text, checked against the schema and the drawer; a long text is read on a worker thread.
 * @param within where the look stands in what was sent; null when it is all of it
 */
export async function lookFrom(event: H3Event, text: string, within: 'look' | null): Promise<LookTaken> {
  const { base, parsed } =
    text.length > QUICK_LETTERS
      ? await jobFor(event, 'readLook', { text, within })
      : lookRead(jsonIn(text), within, memo)
  if (!parsed.ok) throw refusal(422, parsed.errors)
  const { stencils } = useRepositories()
  const missing = missingSheets(parsed.look, id => stencils.find(id) !== null)
  if (missing.length) throw refusal(422, missing)
  return { look: parsed.look, base }
}

function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw refusal(400, NO_JSON)
  }
}

/** Sentences of jobs that gave nothing. */
const ENDED = {
  'given up': 'It was given up, because nobody waited for it any more.',
  'too long': 'This takes too long and was stopped. Make it simpler, or ask for less, and try again.',
  'too much memory': 'This needs more memory than there is and was stopped. Ask for less, and try again.',
} as const

/** What Node itself says when something is too large or too deep: no sentence for a painter. */
const NODES_OWN = /^(Maximum call stack|Invalid (array|string|typed array) length|Array buffer allocation)/

/**
 * Runs a job on a worker thread; it ends when the one who asked is gone. What cannot be done is refused with
 * its sentence.
 */
export async function jobFor<J extends keyof Jobs>(event: H3Event, name: J, what: Parameters<Jobs[J]>[0]) {
  const gone = new AbortController()
  const { res } = event.node
  const close = () => gone.abort()
  res.once('close', close)
  try {
    return await usePool().run(name, what, gone.signal)
  } catch (error) {
    if (error instanceof JobEnded) throw refusal(422, ENDED[error.reason])
    if (error instanceof SyntaxError) throw refusal(400, NO_JSON)
    if (error instanceof RangeError)
      throw refusal(422, NODES_OWN.test(error.message) ? ENDED['too much memory'] : error.message)
    throw error
  } finally {
    res.off('close', close)
  }
}

/** The look that a route names, or 404. */
export function lookOf(event: H3Event): LookRecord {
  try {
    const found = useRepositories().looks.find(getRouterParam(event, 'id') ?? '')
    if (found) return found
  } catch (error) {
    if (error instanceof DamagedLook) throw refusal(422, error.message, { damaged: true })
    throw error
  }
  throw refusal(404, 'There is no such look; it may have been deleted.')
}

/** The look that a route names, as it is handed to a worker thread, with its row in lists; or 404. */
export function lookSentOf(event: H3Event): { sent: LookSent; name: string; key: string } {
  const house = useRepositories()
  const id = getRouterParam(event, 'id') ?? ''
  const listed = house.looks.listed(id)
  const doc = house.looks.doc(id)
  if (!listed || doc === null) throw refusal(404, 'There is no such look; it may have been deleted.')
  return { sent: lookSent(house, doc, listed.sheets), name: listed.name, key: usePaintAhead().keyOf(listed) }
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
