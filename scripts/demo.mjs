import { ensureInstalled, run } from './install.mjs';

ensureInstalled();
process.env.ASTRO_TELEMETRY_DISABLED = '1';
run(process.execPath, ['node_modules/astro/astro.js', 'build', '--silent']);
run(process.execPath, ['scripts/built.mjs', 'seed']);
run(process.execPath, ['scripts/built.mjs', 'serve']);
