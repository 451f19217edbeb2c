import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './e2e/chromium';
import { SERVER_ENV, TOKEN } from './e2e/server-env';

const PORT = 4871;

export default defineConfig({
  testDir: 'e2e',
  fullyParallel: false,
  workers: 1,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  // A busy machine may miss a deadline once; a test that needed its second try is listed as flaky.
  retries: process.env['CI'] ? 1 : 0,
  outputDir: 'test-results/browser/artifacts',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser/results.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // What tests ask of the server without a page, they ask as a script that has the token.
    extraHTTPHeaders: { authorization: `Bearer ${TOKEN}` },
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'node scripts/test-server.mjs',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { ...SERVER_ENV, PORT: String(PORT) },
    reuseExistingServer: false,
  },
});
