import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'
import { KEPT, NEEDED } from './kept'

/** The application's files, listed when it is built, each with a digest of what is in it. */
declare const __FILES__: { url: string; revision: string }[]
declare const self: ServiceWorkerGlobalScope

self.addEventListener('install', () => void self.skipWaiting())
self.addEventListener('activate', event => event.waitUntil(self.clients.claim()))

precacheAndRoute(__FILES__)
cleanupOutdatedCaches()

/** The page of the chair, and what it reads: from the server while it answers, else as it was last. */
const fresh = new NetworkFirst({ cacheName: KEPT })
registerRoute(
  ({ url, request }) => request.mode === 'navigate' && /^\/looks\/[\w-]+\/chair$/.test(url.pathname),
  fresh,
)
registerRoute(({ url, request }) => request.method === 'GET' && NEEDED.test(url.pathname), fresh)
