import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { MEDIA, PAGES } from '#client/page-cache';
import { tellAge } from './kept-page';

declare const self: ServiceWorkerGlobalScope;
/** The files of the build, put in by the build. */
declare const PRECACHE: { readonly url: string; readonly revision: string | null }[];

/** How long a page waits for the server before the kept one is shown, seconds. */
const PAGE_WAIT_S = 4;

// A new version takes over at once: what the inspector did is in the device's store, not in the page.
void self.skipWaiting();
clientsClaim();

precacheAndRoute(PRECACHE);

/** Where a page leads elsewhere, to a sign-in say, the one that was kept before stays. */
const ONLY_WHOLE = {
  cacheWillUpdate: ({ response }: { readonly response: Response }) =>
    Promise.resolve(response.status === 200 && !response.redirected ? response : null),
};

const SAYS_ITS_AGE = {
  cachedResponseWillBeUsed: async ({
    request,
    cachedResponse,
  }: {
    readonly request: Request;
    readonly cachedResponse?: Response;
  }) => (cachedResponse ? tellAge(new URL(request.url).pathname, cachedResponse) : null),
};

/** Pages come fresh from the server; without it, as they were kept. Only jobs' pages and the Desk. */
registerRoute(
  ({ request, url }) =>
    request.mode === 'navigate' && (url.pathname === '/' || url.pathname.startsWith('/jobs/')),
  new NetworkFirst({
    cacheName: PAGES,
    networkTimeoutSeconds: PAGE_WAIT_S,
    plugins: [ONLY_WHOLE, SAYS_ITS_AGE, new ExpirationPlugin({ maxEntries: 200 })],
    matchOptions: { ignoreVary: true, ignoreSearch: true },
  }),
);

/** Stills never change under their id. */
registerRoute(
  ({ request, url }) =>
    request.method === 'GET' && /^\/api\/jobs\/[^/]+\/media\//.test(url.pathname),
  new CacheFirst({
    cacheName: MEDIA,
    plugins: [new ExpirationPlugin({ maxEntries: 400, purgeOnQuotaError: true })],
  }),
);
