import type { H3Error, H3Event } from 'h3'

/** What an error answers: status, sentences and data. Details of the server's own faults are not sent. */
function answerTo(error: H3Error): { status: number; sentences: string[]; data: Record<string, unknown> } {
  const trouble = houseTrouble(error.cause ?? error)
  if (trouble?.code === 'CORRUPT' || trouble?.code === 'NOTADB') closeHouse()
  if (trouble) return { status: 503, sentences: [trouble.message], data: { trouble: trouble.code } }
  const data = (error.data ?? {}) as Record<string, unknown> & { sentences?: string[] }
  if (data.sentences) return { status: error.statusCode, sentences: data.sentences, data }
  if (error.statusCode === 404) return { status: 404, sentences: ['There is nothing at this address.'], data }
  if (error.statusCode === 405)
    return { status: 405, sentences: ['This address does not answer such a request.'], data }
  if (error.statusCode < 500)
    return { status: error.statusCode, sentences: ['This request cannot be read.'], data }
  return {
    status: 500,
    sentences: ['Something went wrong in the application. Nothing that was saved is lost; try again.'],
    data: {},
  }
}

/** Every error as JSON with a sentence; faults of the server itself are written to its log too. */
export default function onError(error: H3Error, event: H3Event): void {
  const { status, sentences, data } = answerTo(error)
  if (status === 500) console.error(error.cause ?? error)
  const { res } = event.node
  if (res.headersSent) return void res.end()
  res.statusCode = status
  res.setHeader('content-type', 'application/json; charset=utf-8')
  res.setHeader('cache-control', 'no-store')
  res.end(JSON.stringify({ statusCode: status, message: sentences[0], data: { ...data, sentences } }))
}
