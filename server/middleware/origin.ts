/** Names under which this server may be called; a page that reaches it by another name is not ours. */
const HOSTS = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/

/**
 * Answers only this machine's own pages: another site open in the same browser can neither read nor change
 * anything.
 */
export default defineEventHandler(event => {
  const host = getRequestHeader(event, 'host') ?? ''
  const origin = getRequestHeader(event, 'origin')
  if (!HOSTS.test(host)) throw refusal(403, 'The application answers on 127.0.0.1 only.')
  if (origin !== undefined && origin !== `http://${host}`)
    throw refusal(403, 'A page of another site asked for this; it was refused.')
  setHeader(event, 'x-content-type-options', 'nosniff')
  setHeader(event, 'referrer-policy', 'no-referrer')
  setHeader(event, 'x-frame-options', 'DENY')
})
