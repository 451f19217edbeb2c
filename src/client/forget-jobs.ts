import { MEDIA, PAGES } from './page-cache';
import { forgetStore } from './store';

/**
 * Forgets what this device kept for a time without the server: pages and stills, and the jobs themselves where nothing
 * of them waits to be sent.
 *
 * @param isAllSent whether the server has everything; what it has not stays on the device.
 */
export async function forgetJobs(isAllSent: boolean): Promise<void> {
  if (isAllSent) await forgetStore().catch(() => undefined);
  if (!('caches' in window)) return;
  await Promise.all([PAGES, MEDIA].map((name) => window.caches.delete(name))).catch(
    () => undefined,
  );
}
