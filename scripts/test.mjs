import { spawnSync } from 'node:child_process';
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

ensureInstalled();
ensureChromium();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

step('types: the core alone', 'node_modules/typescript/bin/tsc', ['-p', 'src/core']);
step('types: pages', 'node_modules/astro/astro.js', ['check', '--minimumSeverity', 'warning']);
step('types: the service worker', 'node_modules/typescript/bin/tsc', ['-p', 'src/workers']);
step('types: everything else', 'node_modules/typescript/bin/tsc', ['-p', 'tsconfig.json']);
step('lint', 'node_modules/eslint/bin/eslint.js', ['.', '--max-warnings', '0']);
step('format', 'node_modules/prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn']);
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
