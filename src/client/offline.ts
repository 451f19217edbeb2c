/** The cache of pages that can be opened without the server. The service worker reads it too. */
const PAGES = 'chert-pages';

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

/**
 * Loads this page anew after something was done on the server: as it was kept it would show that as not done, wherever
 * the server takes longer than the service worker waits. The list of jobs tells it too.
 */
export async function reloadFresh(): Promise<void> {
  if ('caches' in window)
    await window.caches
      .open(PAGES)
      .then((cache) =>
        Promise.all(
          [window.location.pathname, '/'].map((path) => cache.delete(path, { ignoreSearch: true })),
        ),
      )
      .catch(() => undefined);
  window.location.reload();
}
