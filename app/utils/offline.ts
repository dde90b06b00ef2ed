import { KEPT, NEEDED } from '~/offline/kept'

/** What the page has read from the server so far. */
const asked = (): string[] =>
  performance
    .getEntriesByType('resource')
    .map(({ name }) => new URL(name))
    .filter(({ origin, pathname }) => origin === location.origin && NEEDED.test(pathname))
    .map(({ pathname, search }) => pathname + search)

/** An installation that fails, as where a file did not come, is begun again so often. */
const TRIES = 3

/** Has the browser install the script that answers while the server is away. */
async function install(tries = TRIES): Promise<void> {
  const { installing } = await navigator.serviceWorker.register('/offline.js')
  if (!installing) return
  await new Promise<void>(resolve =>
    installing.addEventListener('statechange', () => {
      if (installing.state === 'activated' || installing.state === 'redundant') resolve()
    }),
  )
  if (installing.state === 'redundant' && tries > 1) await install(tries - 1)
}

/**
 * Has this device keep the application and what the chair was loaded with, so that the page comes up again while
 * the server is away. Where a browser keeps nothing, the open page goes on by itself.
 */
export async function keepForOffline(): Promise<void> {
  try {
    const installed = install()
    const store = await caches.open(KEPT)
    await Promise.allSettled([...new Set([location.pathname, ...asked()])].map(path => store.add(path)))
    await installed
  } catch {
    // Nothing is lost: the page holds all that it needs.
  }
}
