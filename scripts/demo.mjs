import { ensureInstalled, run } from './install.mjs';

ensureInstalled();
process.env.ASTRO_TELEMETRY_DISABLED = '1';
run(process.execPath, ['node_modules/astro/astro.js', 'build', '--silent']);
run(process.execPath, ['--import', 'tsx', 'src/cli/seed.ts']);
run(process.execPath, ['--import', 'tsx', 'src/cli/serve.ts']);
