import { defineConfig } from 'vitest/config';

const room = process.env['ROOM'] ?? 'measure';

/** The tests that a mutant of a room is held against: the room's own. */
export default defineConfig({
  test: {
    include: [`src/core/${room}/**/*.test.ts`],
    exclude: [
      'src/core/planning/{plans,choose}/**',
      'src/core/report/consistency.test.ts',
      'node_modules/**',
    ],
    testTimeout: 60_000,
    pool: 'threads',
    isolate: false,
    bail: 1,
  },
});
