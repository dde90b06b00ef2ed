import { clear, createStore } from 'idb-keyval'
import { toast } from 'vue-sonner'
import { KEPT } from '../offline/kept'

/** Whether this device has no more room for what is kept of a page. */
export const isFull = (error: unknown): boolean =>
  error instanceof DOMException && /^(QuotaExceededError|NS_ERROR_DOM_QUOTA_REACHED)$/.test(error.name)

/** Forgets the bare skins: they are only drawn anew. */
const forgetHeads = (): Promise<void> =>
  typeof indexedDB === 'undefined'
    ? Promise.resolve()
    : clear(createStore('janusform-heads', 'heads')).catch(() => {})

/** Forgets what the chair needs to open without the server, and says so. */
async function forgetOffline(): Promise<void> {
  if (typeof caches === 'undefined' || !(await caches.delete(KEPT).catch(() => false))) return
  toast.warning(
    'This device was full, so the chair no longer opens without the server. Free some space and open it again.',
    { duration: 12_000 },
  )
}

/** What can be fetched or painted again goes before anybody's work does, what is missed least first. */
const WAYS_TO_ROOM = [forgetHeads, forgetOffline]

/**
 * Keeps something on this device, and makes room for it where there is none.
 * @throws DOMException when there is none even then
 */
export async function keptWithRoom<T>(keep: () => T | Promise<T>): Promise<T> {
  for (const makeRoom of WAYS_TO_ROOM) {
    try {
      return await keep()
    } catch (error) {
      if (!isFull(error)) throw error
      await makeRoom()
    }
  }
  return keep()
}
