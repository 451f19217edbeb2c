import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureInstalled, run } from './install.mjs';

const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';
process.env.ASTRO_TELEMETRY_DISABLED = '1';

/** Chromium comes from the system's packages where this may install them. */
function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  const isRoot = process.getuid?.() === 0;
  const can = isRoot && spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
  if (!can) {
    console.error(
      `${CHROMIUM}: expected Chromium, got nothing. Install it, or set CHROMIUM to its path.`,
    );
    process.exit(1);
  }
  console.log('Installing Chromium …');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const quiet = { env, stdio: ['ignore', 'ignore', 'inherit'] };
  run('apt-get', ['update', '-qq'], quiet);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet);
}

function step(title, file, args) {
  console.log(`\n== ${title}`);
  run(process.execPath, [file, ...args]);
}

/** Runs checks one after the other; each says what it found once it is done, so that two rows can run at a time. */
async function inTurn(checks) {
  for (const [title, args] of checks) {
    const found = await new Promise((resolve) => {
      const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
      let said = '';
      child.stdout.on('data', (text) => (said += text));
      child.stderr.on('data', (text) => (said += text));
      child.on('close', (code) => resolve({ code, said }));
    });
    console.log(`\n== ${title}\n${found.said}`);
    if (found.code !== 0) process.exit(found.code ?? 1);
  }
}

ensureInstalled();
ensureChromium();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

// What Astro makes types of is read by types and lint alike.
step('sync', 'node_modules/astro/astro.js', ['sync']);
const tsc = (project) => ['node_modules/typescript/bin/tsc', '-p', project];
// Each of these keeps one processor busy: on two, types and lint take turns with nobody.
await Promise.all([
  inTurn([
    ['types: the core alone', tsc('src/core')],
    ['types: pages', ['node_modules/astro/astro.js', 'check', '--minimumSeverity', 'warning']],
    ['types: the service worker', tsc('src/workers')],
    ['types: everything else', tsc('tsconfig.json')],
  ]),
  inTurn([
    ['lint', ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0']],
    ['format', ['node_modules/prettier/bin/prettier.cjs', '--check', '.', '--log-level', 'warn']],
  ]),
]);
step('unit tests', 'node_modules/vitest/vitest.mjs', [
  'run',
  '--reporter=default',
  '--reporter=json',
  '--outputFile=test-results/unit.json',
]);
step('build', 'node_modules/astro/astro.js', ['build', '--silent']);
step('browser tests', 'node_modules/@playwright/test/cli.js', ['test']);

const unit = JSON.parse(readFileSync('test-results/unit.json', 'utf8'));
const browser = JSON.parse(readFileSync('test-results/browser/results.json', 'utf8')).stats;
const passed = unit.numPassedTests + browser.expected + browser.flaky;
const failed = unit.numFailedTests + browser.unexpected;
if (browser.flaky > 0) console.log(`${browser.flaky} needed a second try: see above`);
console.log(`\n${passed} passed, ${failed} failed`);
