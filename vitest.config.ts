import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts'],
    testTimeout: 60_000,
    // Before anything else: what keeps a job on a device looks for the store when it is first read.
    setupFiles: ['fake-indexeddb/auto'],
    // Tests leave nothing behind, so a thread need not read every module anew for each file of them.
    pool: 'threads',
    isolate: false,
    maxWorkers: 2,
  },
});
