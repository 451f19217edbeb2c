import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts'],
    testTimeout: 60_000,
    // Tests leave nothing behind, so a thread need not read every module anew for each file of them.
    pool: 'threads',
    isolate: false,
    maxWorkers: 2,
  },
});
