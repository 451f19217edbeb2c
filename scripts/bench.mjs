import { mkdirSync } from 'node:fs';
import { ensureInstalled, run } from './install.mjs';

ensureInstalled();
process.env.ASTRO_TELEMETRY_DISABLED = '1';
run(process.execPath, ['node_modules/astro/astro.js', 'build', '--silent']);
// Bundled as the app is: what runs TypeScript for tests adds work of its own to every function.
const { build } = await import('esbuild');
const bundle = 'node_modules/.cache/bench.mjs';
mkdirSync('node_modules/.cache', { recursive: true });
await build({
  entryPoints: ['bench/run.ts'],
  outfile: bundle,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  logLevel: 'error',
});
run(process.execPath, [bundle]);
