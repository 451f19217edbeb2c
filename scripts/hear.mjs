import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './install.mjs';

ensureInstalled();
const args = ['--import', 'tsx', 'src/cli/hear.ts', ...process.argv.slice(2)];
const done = spawnSync(process.execPath, args, { stdio: 'inherit' });
process.exit(done.status ?? 1);
