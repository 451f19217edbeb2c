import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './e2e/chromium';
import { TOKEN } from './e2e/server-env';

export default defineConfig({
  testDir: 'e2e',
  fullyParallel: false,
  // Each has a server of its own.
  workers: 2,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  // A busy machine may miss a deadline once; a test that needed its second try is listed as flaky.
  retries: process.env['CI'] ? 1 : 0,
  outputDir: 'test-results/browser/artifacts',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser/results.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    // What tests ask of the server without a page, they ask as a script that has the token.
    extraHTTPHeaders: { authorization: `Bearer ${TOKEN}` },
    launchOptions: CHROMIUM,
  },
});
