import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { benchCore } from './core';
import type { Row } from './row';
import { benchServer } from './server';

const core = await benchCore();
const server = await benchServer();
const table = (rows: readonly Row[]) =>
  [
    '| what | aim | measured |',
    '| --- | --- | --- |',
    ...rows.map((row) => `| ${row.what} | ${row.aim} | ${row.got} |`),
  ].join('\n');

const text = `# Benchmarks

\`npm run bench\` writes this page. Node ${process.versions.node}, ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}, ${new Date().toISOString().slice(0, 10)}.

## The core, in process

Median of many runs after warm-up, with the 99th percentile behind it. A log of n entries is one run out and back with
corrections, stretches, water, locates and unseen stretches in the proportions of a real one (\`bench/log.ts\`).

${table(core)}

## The server

The built app on an empty database, on loopback.

${table(server)}
`;
writeFileSync('docs/benchmarks.md', text);
console.log(text);
