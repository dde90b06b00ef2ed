/** Whether this device has no more room for what is kept of a page. */
export const isFull = (error: unknown): boolean =>
  error instanceof DOMException && /^(QuotaExceededError|NS_ERROR_DOM_QUOTA_REACHED)$/.test(error.name)

/** What the browser keeps so that pages open without the server; it can be fetched again. */
const REPLACEABLE = /^janusform-/

/** Makes room on this device: what can be fetched or painted again goes before anything that is somebody's work. */
export async function makeRoom(): Promise<void> {
  if (typeof caches === 'undefined') return
  const names = await caches.keys().catch(() => [])
  await Promise.all(names.filter(n => REPLACEABLE.test(n)).map(n => caches.delete(n)))
}
