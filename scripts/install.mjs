import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';

/** Runs a command and passes its output on; ends the process when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (done.error) {
    console.error(`${command}: ${done.error.message}`);
    process.exit(1);
  }
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** Installs the packages when they are missing or older than the lock file. */
export function ensureInstalled() {
  const marker = 'node_modules/.package-lock.json';
  const isFresh =
    existsSync(marker) && statSync(marker).mtimeMs >= statSync('package-lock.json').mtimeMs - 2000;
  if (isFresh || (existsSync(marker) && sameLock(marker))) return;
  console.error('Installing packages (the database compiles: three minutes the first time) …');
  // Not `npm ci`: it refuses a lock file without the optional builds for other machines, and not
  // every registry has them all. What npm prints goes to stderr: stdout stays a command's own.
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 2, 2],
  });
}

/** Whether what is installed is what the lock file asks for. */
function sameLock(marker) {
  const read = (path) => JSON.parse(readFileSync(path, 'utf8')).packages ?? {};
  const wanted = read('package-lock.json');
  const installed = read(marker);
  return Object.keys(wanted).every(
    (path) =>
      path === '' || wanted[path].optional || installed[path]?.version === wanted[path].version,
  );
}
