import { forgetStore } from './store';

/**
 * Forgets the jobs, pages and stills that this device kept for a time without the server. Call it only when nothing
 * waits to be sent.
 */
export async function forgetJobs(): Promise<void> {
  await forgetStore().catch(() => undefined);
  if (!('caches' in window)) return;
  await Promise.all(['chert-pages', 'chert-media'].map((name) => window.caches.delete(name))).catch(
    () => undefined,
  );
}
