import { PAGES } from './page-cache';

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
