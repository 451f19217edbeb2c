import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { inspectionWith } from '#core/testing/long-log';
import { CHROMIUM } from '../e2e/chromium';
import { benchBusy } from './busy';
import { TOKEN } from './chaos/server';
import { benchLists, benchPages } from './pages';
import { benchPosts } from './posts';
import { benchRepairsPage } from './repairs-page';
import type { Row } from './row';
import { benchScreen } from './screen';
import { median } from './times';
import { benchTyping } from './typing';

const PORT = 4873;
const BASE = `http://127.0.0.1:${PORT}`;
const JSON_TYPE = { 'content-type': 'application/json', authorization: `Bearer ${TOKEN}` };

async function untilAnswers(): Promise<void> {
  for (;;) {
    const isUp = await fetch(`${BASE}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}

async function time(task: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await task();
  return performance.now() - start;
}

/** First paint of a page in Chromium, ms from the start of the navigation; the median of five. */
async function firstPaint(path: string): Promise<number> {
  const browser = await chromium.launch(CHROMIUM);
  const times: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(BASE + path);
    await page.waitForFunction(
      () => performance.getEntriesByName('first-contentful-paint').length > 0,
    );
    times.push(
      await page.evaluate(
        () => performance.getEntriesByName('first-contentful-paint')[0]!.startTime,
      ),
    );
    await context.close();
  }
  await browser.close();
  return median(times);
}

/** Bytes of script that a page loads before anything is done on it, as sent. */
async function scriptBytes(path: string): Promise<number> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ serviceWorkers: 'block' });
  const sizes: Promise<number>[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) sizes.push(response.body().then(({ length }) => length));
  });
  await page.goto(BASE + path, { waitUntil: 'networkidle' });
  const total = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
  await browser.close();
  return total;
}

/** Times start-up, first pages and durable writes of the built app. */
export async function benchServer(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'chert-bench-'));
  let server: ChildProcess | null = null;
  try {
    const startMs = await time(async () => {
      server = spawn(process.execPath, ['scripts/built.mjs', 'serve'], {
        env: {
          ...process.env,
          PORT: String(PORT),
          CHERT_DATA: data,
          CHERT_TOKEN: TOKEN,
          CHERT_BACKUPS: 'off',
        },
        stdio: 'ignore',
      });
      await untilAnswers();
    });
    const firstMs = await time(() => fetch(`${BASE}/`).then((response) => response.text()));
    await fetch(`${BASE}/api/jobs/import`, {
      method: 'POST',
      headers: JSON_TYPE,
      body: JSON.stringify(inspectionWith(200)),
    });
    await fetch(`${BASE}/api/jobs/import`, {
      method: 'POST',
      headers: JSON_TYPE,
      body: readFileSync('demo/alder-bend.chert.json', 'utf8'),
    });
    const ask = (path: string, init: RequestInit = {}) =>
      fetch(BASE + path, { headers: JSON_TYPE, ...init });
    for (const size of [1_000, 5_000])
      await ask('/api/jobs/import', { method: 'POST', body: JSON.stringify(inspectionWith(size)) });
    const pages = await benchPages(ask, 'bench-200');
    const repairs = await benchRepairsPage(BASE);
    const screen = await benchScreen(BASE, [
      [200, 'bench-200'],
      [1_000, 'bench-1000'],
    ]);
    const typing = await benchTyping(BASE, [
      [34, 'demo-alder-bend', 50],
      [200, 'bench-200', 50],
      [1_000, 'bench-1000', 50],
      [5_000, 'bench-5000', 100],
    ]);
    await fetch(`${BASE}/api/jobs/import`, {
      method: 'POST',
      headers: JSON_TYPE,
      body: JSON.stringify({
        ...inspectionWith(200),
        job: { ...inspectionWith(200).job, id: 'bench-busy' },
      }),
    });
    const busy = await benchBusy(ask, {
      entries: 'bench-busy',
      printed: 'demo-alder-bend',
      file: JSON.stringify(inspectionWith(5_000)),
    });
    const posts = await benchPosts(
      PORT,
      [200, 5_000].map((size) => [
        `a log of ${size.toLocaleString('en-US')}`,
        `/api/jobs/bench-${size}/runs/R1/entries`,
      ]),
      data,
    );
    const lists = await benchLists(ask, join(data, 'chert.db'), inspectionWith(200));
    return [
      {
        what: 'start of the process to the first answer',
        aim: '–',
        got: `${startMs.toFixed(0)} ms`,
      },
      {
        what: 'first page of the process (Desk, whole answer)',
        aim: '–',
        got: `${firstMs.toFixed(0)} ms`,
      },
      {
        what: 'first paint of the Desk in Chromium',
        aim: '–',
        got: `${(await firstPaint('/')).toFixed(0)} ms`,
      },
      {
        what: 'first paint of Scope, 200 entries, in Chromium',
        aim: '–',
        got: `${(await firstPaint('/jobs/bench-200/scope')).toFixed(0)} ms`,
      },
      {
        what: 'script that Scope has loaded once all is quiet, as it was packed out',
        aim: 'no three.js',
        got: `${Math.round((await scriptBytes('/jobs/bench-200/scope')) / 1024)} kB`,
      },
      ...repairs,
      ...typing,
      ...screen,
      ...pages,
      ...lists,
      ...posts,
      ...busy,
    ];
  } finally {
    (server as ChildProcess | null)?.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
