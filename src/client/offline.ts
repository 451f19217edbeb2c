import { PAGES } from './page-cache';

/**
 * Starts the service worker and keeps this job's Scope and Site for a time without the server. A browser
 * that has none, or a page that is not secure, works online as before.
 */
export function keepOffline(jobId: string): void {
  if (!('serviceWorker' in navigator)) return;
  const base = `/jobs/${encodeURIComponent(jobId)}`;
  void navigator.serviceWorker
    .register('/service-worker.js')
    .then(() => navigator.serviceWorker.ready)
    .then(() => window.caches.open(PAGES))
    .then((cache) =>
      Promise.all([`${base}/scope`, `${base}/site`].map((path) => keep(cache, path))),
    )
    .catch(() => undefined);
}

/** Keeps a page as it is; where the way leads elsewhere, to a sign-in say, what was kept before stays. */
async function keep(cache: Cache, path: string): Promise<void> {
  const response = await fetch(path, { redirect: 'error' });
  if (response.ok) await cache.put(path, response);
}
