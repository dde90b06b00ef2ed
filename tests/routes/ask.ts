import { request, type IncomingHttpHeaders } from 'node:http'
import { Site } from '../server'

/** What the server has answered. */
export interface Answer {
  readonly status: number
  readonly headers: IncomingHttpHeaders
  readonly bytes: Buffer
  readonly text: string
  /** The body as JSON; undefined where it is none. */
  readonly json: any // eslint-disable-line @typescript-eslint/no-explicit-any -- each test says what it expects
}

/** A server of its own for a file of tests, and the routes that it was asked for. */
export class Routes extends Site {
  /** What was asked, as "METHOD /path", with the statuses that it gave. */
  readonly asked: { method: string; path: string; status: number }[] = []

  /** Asks a route; an object is sent as JSON, a text or bytes as they are. */
  ask(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Answer> {
    const raw = typeof body === 'string' || Buffer.isBuffer(body)
    const sent = body === undefined ? undefined : raw ? body : JSON.stringify(body)
    // Node says it of itself only for methods that usually have a body.
    const length = sent === undefined ? {} : { 'content-length': Buffer.byteLength(sent) }
    return new Promise((resolve, reject) => {
      const asked = request(
        `${this.address}${path}`,
        { method, headers: { 'content-type': 'application/json', ...length, ...headers } },
        answer => {
          const parts: Buffer[] = []
          answer.on('data', (part: Buffer) => parts.push(part))
          answer.on('error', reject)
          answer.on('end', () => {
            const bytes = Buffer.concat(parts)
            const status = answer.statusCode!
            this.asked.push({ method, path: path.split('?')[0]!, status })
            resolve({
              status,
              headers: answer.headers,
              bytes,
              text: String(bytes),
              json: jsonIn(String(bytes)),
            })
          })
        },
      )
      asked.on('error', reject)
      asked.end(sent)
    })
  }

  readonly get = (path: string, headers?: Record<string, string>) => this.ask('GET', path, undefined, headers)
  readonly post = (path: string, body?: unknown) => this.ask('POST', path, body)
  readonly put = (path: string, body?: unknown) => this.ask('PUT', path, body)
  readonly patch = (path: string, body?: unknown) => this.ask('PATCH', path, body)
  readonly delete = (path: string) => this.ask('DELETE', path)
}

function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
