import type { H3Event } from 'h3'

/** Names under which this server may be called; a page that reaches it by another name is not ours. */
const HOSTS = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
/** Addresses of this machine itself, as sockets tell them. */
const LOOPBACK = /^(::ffff:)?127\.|^::1$/

/** What every answer says to browsers: who may use it, and what its pages may do. */
const HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
}

/** The content security policy; `scripts` are digests of the page's own inline scripts. */
export const policy = (scripts: readonly string[] = []): string =>
  [
    "default-src 'none'",
    `script-src ${["'self'", ...scripts.map(s => `'sha256-${s}'`)].join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')

/** Whether another site's page asks, other than by a link that somebody followed to a page of ours. */
function fromElsewhere(event: H3Event): boolean {
  const site = getRequestHeader(event, 'sec-fetch-site')
  if (site === undefined || site === 'same-origin' || site === 'none') return false
  const followed =
    getRequestHeader(event, 'sec-fetch-mode') === 'navigate' &&
    getRequestHeader(event, 'sec-fetch-dest') === 'document'
  return !(followed && event.method === 'GET' && !event.path.startsWith('/api'))
}

/**
 * Answers only this machine's own pages: another machine, or another site open in the same browser, can
 * neither read nor change anything, nor make the server work. Files that are simply sent are guarded too.
 */
export function guard(event: H3Event): void {
  for (const [name, value] of Object.entries(HEADERS)) setHeader(event, name, value)
  setHeader(event, 'content-security-policy', policy())
  const host = getRequestHeader(event, 'host') ?? ''
  const origin = getRequestHeader(event, 'origin')
  if (!LOOPBACK.test(event.node.req.socket.remoteAddress ?? ''))
    throw refusal(403, 'The application answers this machine only.')
  if (!HOSTS.test(host)) throw refusal(403, 'The application answers on 127.0.0.1 only.')
  if ((origin !== undefined && origin !== `http://${host}`) || fromElsewhere(event))
    throw refusal(403, 'A page of another site asked for this; it was refused.')
}
