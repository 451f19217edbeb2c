import { type Browser, chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import type { Row } from './row';
import { median, percentile } from './times';

/** How much slower than this machine a tablet is taken to be. */
const SLOWER = 4;

async function slowPage(browser: Browser): Promise<Page> {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.addInitScript(() => {
    const long: number[] = [];
    Object.assign(window, { long });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) long.push(duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  return page;
}

/** From the navigation to a screen that takes keys, on a slower processor, and the longest that it was busy on the way. */
async function benchAlive(browser: Browser, base: string, path: string): Promise<Row> {
  const times: number[] = [];
  const busy: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    const page = await slowPage(browser);
    await page.goto(base + path);
    await page.waitForFunction(() => !document.querySelector('astro-island[ssr]'));
    times.push(await page.evaluate(() => performance.now()));
    busy.push(
      await page.evaluate(() => Math.max(0, ...(window as unknown as { long: number[] }).long)),
    );
    await page.close();
  }
  return {
    what: `${path} alive, on a processor ${SLOWER} times slower`,
    aim: '≤ 1.5 s, busy ≤ 300 ms',
    got: `median ${(median(times) / 1000).toFixed(2)} s, longest busy ${median(busy).toFixed(0)} ms`,
  };
}

/** From a key going down to the end of the work that it made, while a call-out is typed. */
async function benchKeys(
  browser: Browser,
  base: string,
  jobId: string,
  entries: number,
): Promise<Row> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/jobs/${jobId}/scope`);
  await page.waitForFunction(() => document.activeElement?.id === 'line');
  await page.waitForTimeout(1_500);
  await page.evaluate(() => {
    const times: number[] = [];
    Object.assign(window, { times });
    let startMs = 0;
    window.addEventListener('keydown', () => (startMs = performance.now()), true);
    window.addEventListener(
      'input',
      () => {
        const sinceMs = startMs;
        const channel = new MessageChannel();
        channel.port1.onmessage = () => times.push(performance.now() - sinceMs);
        channel.port2.postMessage(0);
      },
      true,
    );
  });
  await page.keyboard.type('roots 57 ft 10 to 2 60% in the barrel with debris ', { delay: 60 });
  const times = await page.evaluate(() => (window as unknown as { times: number[] }).times);
  await page.close();
  return {
    what: `a key on the call-out line, ${entries.toLocaleString('en-US')} entries in the log`,
    aim: entries === 1_000 ? '≤ 8 ms' : '–',
    got: `median ${median(times).toFixed(1)} ms, p90 ${percentile(times, 0.9).toFixed(1)} ms`,
  };
}

/** Times what hands feel: coming alive on a slow processor, and keys. */
export async function benchScreen(
  base: string,
  jobs: readonly (readonly [entries: number, jobId: string])[],
): Promise<Row[]> {
  const browser = await chromium.launch(CHROMIUM);
  const rows: Row[] = [];
  const [[, first] = [0, '']] = jobs;
  for (const page of ['scope', 'report', 'repairs'])
    rows.push(await benchAlive(browser, base, `/jobs/${first}/${page}`));
  for (const [entries, jobId] of jobs) rows.push(await benchKeys(browser, base, jobId, entries));
  await browser.close();
  return rows;
}
