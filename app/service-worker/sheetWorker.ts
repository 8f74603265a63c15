/// <reference lib="webworker" />
import { clientsClaim, type WorkboxPlugin } from 'workbox-core'
import { ExpirationPlugin } from 'workbox-expiration'
import { registerRoute } from 'workbox-routing'
import { CacheFirst, NetworkFirst } from 'workbox-strategies'

declare const self: ServiceWorkerGlobalScope

/*
 * Keeps a client's sheet, and a group's tablet, working without reception: each of the two is registered for its own pages and
 * looks after no others. The page itself is the same for everybody, so one copy stands for all.
 */
const SHELL = new URL(self.registration.scope).pathname
const NAME = SHELL === '/sheet' ? 'sheet' : 'together'
const PAGES = `tholepin-${NAME}-pages`
const PARTS = `tholepin-${NAME}-parts`
const PATIENCE_SECONDS = 4
const MOST_PARTS = 150

void self.skipWaiting()
clientsClaim()

const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: PATIENCE_SECONDS,
  plugins: [{ cacheKeyWillBeUsed: async () => SHELL }],
})
registerRoute(
  ({ request, url }) =>
    request.mode === 'navigate' && url.origin === location.origin && url.pathname.startsWith(SHELL),
  pages,
)

// Parts carry their content's mark in their names; the one file that tells of newer builds does not, and is asked for anew.
const parts = new CacheFirst({
  cacheName: PARTS,
  plugins: [
    new ExpirationPlugin({ maxEntries: MOST_PARTS, purgeOnQuotaError: true }) as WorkboxPlugin,
  ],
})
registerRoute(
  ({ url }) =>
    url.origin === location.origin &&
    /\/_nuxt\/|\/icons\//.test(url.pathname) &&
    !url.pathname.endsWith('/builds/latest.json'),
  parts,
)

// Neither page goes by the session: what it asks of the server says whether it may. Waiting for a network that is not there helps nobody.
registerRoute(
  ({ url }) => url.pathname === '/api/_auth/session',
  async () => Response.json({}),
)

/** Keeps what the first visit loaded before this worker was there. */
async function keep(page: string, urls: readonly string[]): Promise<void> {
  const cache = await caches.open(PARTS)
  await Promise.all(
    urls.map(async url => {
      if (!(await cache.match(url))) await cache.add(url).catch(() => undefined)
    }),
  )
  const fetched = await fetch(page, { headers: { accept: 'text/html' } }).catch(() => undefined)
  if (fetched?.ok) await (await caches.open(PAGES)).put(SHELL, fetched)
}

self.addEventListener('message', event => {
  const asked = event.data as { kind?: string; page?: string; parts?: readonly string[] }
  if (asked.kind === 'keep' && asked.page?.startsWith(SHELL))
    event.waitUntil(
      keep(asked.page, asked.parts ?? [])
        .then(() => self.clients.matchAll())
        .then(clients => clients.forEach(client => client.postMessage({ kind: 'kept' }))),
    )
})
