import { test as base } from '@playwright/test';
import { ownServer } from './own-server';
import { portOf } from './server-env';

/**
 * A test with pages that are awake once they are open, and a server with the demo jobs that no other worker
 * talks to. A test that failed is tried again by a new worker, so over fresh data.
 */
export const test = base.extend<object, { served: string }>({
  served: [
    // eslint-disable-next-line no-empty-pattern -- it needs no other fixture, and the runner asks for the braces
    async ({}, use, { parallelIndex }) => {
      const server = ownServer(portOf(parallelIndex));
      server.reset();
      server.seed();
      await server.start();
      await use(server.base);
      await server.end();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  baseURL: ({ served }, use) => use(served),
  page: async ({ page }, use) => {
    const goto = page.goto.bind(page);
    const reload = page.reload.bind(page);
    const awake = async () => {
      await page.waitForFunction(() => !document.querySelector('astro-island[ssr]'));
      // React wakes a part bit by bit, and rests when all of it is awake.
      await page.evaluate(
        () => new Promise((rest) => requestIdleCallback(() => requestIdleCallback(rest))),
      );
    };
    page.goto = async (...args) => {
      const response = await goto(...args);
      await awake();
      return response;
    };
    page.reload = async (...args) => {
      const response = await reload(...args);
      await awake();
      return response;
    };
    await use(page);
  },
});
