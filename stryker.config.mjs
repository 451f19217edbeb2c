import { readFileSync } from 'node:fs';

/**
 * Does a test fail when the code is wrong? A room at a time (`ROOM=measure npm run mutate`), over a sample of files
 * where a wrong answer would be believed; the whole takes hours. `-- --mutate FILE` asks it of one file.
 */
const SAMPLES = {
  measure: ['homecoming', 'placement', 'stretch', 'water', 'place-group'],
  catalogue: [
    'severity/bounds',
    'severity/by-form',
    'severity/by-height',
    'severity/by-share',
    'severity/table',
  ],
  judge: ['action', 'parts', 'numbering', 'stops', 'settle'],
  planning: ['price-works', 'credit', 'gravity', 'check-works'],
  report: ['unsettled', 'limits', 'zones', 'place'],
};
const room = process.env.ROOM ?? 'measure';
/** `PART=5` takes one block of lines of five: a room in a quarter of an hour instead of in hours. */
const part = Number(process.env.PART ?? 1);
const BLOCK_LINES = 8;

/** A file, or every so many of its blocks of lines; which ones shifts from file to file. */
function blocksOf(file, index) {
  if (part === 1) return [file];
  const lines = readFileSync(file, 'utf8').split('\n').length;
  const blocks = Math.ceil(lines / BLOCK_LINES);
  return Array.from({ length: blocks }, (_, block) => block)
    .filter((block) => block % part === index % part)
    .map((block) => `${file}:${block * BLOCK_LINES + 1}-${(block + 1) * BLOCK_LINES}`);
}

export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutation.config.ts', related: false },
  // Many tests lay their line when the file is read: which test covers what cannot be told apart.
  coverageAnalysis: 'all',
  mutate: SAMPLES[room].flatMap((name, index) => blocksOf(`src/core/${room}/${name}.ts`, index)),
  // Words are read by other tests than these, and a changed word is no wrong number.
  mutator: { excludedMutations: ['StringLiteral', 'Regex', 'OptionalChaining'] },
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: `test-results/mutation-${room}.json` },
  clearTextReporter: { allowColor: false, reportTests: false },
  tempDirName: 'test-results/mutation',
  ignorePatterns: ['dist', 'docs/screenshots', '.chert', '.astro', 'e2e', 'test-results'],
};
