import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { run } from './install.mjs';

// The built app over a fresh folder of data with the demo in it, gone when the tests are over.
const data = mkdtempSync(join(tmpdir(), 'chert-e2e-'));
const env = { ...process.env, CHERT_DATA: data };
run(process.execPath, ['--import', 'tsx', 'src/cli/seed.ts'], { env });
const server = spawn(process.execPath, ['--import', 'tsx', 'src/cli/serve.ts'], {
  env,
  stdio: 'inherit',
});
const stop = () => server.kill();
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
server.on('exit', (code) => {
  rmSync(data, { recursive: true, force: true });
  process.exit(code ?? 0);
});
