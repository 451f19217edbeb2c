import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import type { Row } from './row';
import { median } from './times';

const ROUNDS = 5;

/** Times the futures in the page's worker, and the longest that the screen was busy while they were played. */
export async function benchRepairsPage(base: string): Promise<Row[]> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    const long: number[] = [];
    Object.assign(window, { long });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) long.push(duration);
    }).observe({ type: 'longtask' });
  });
  await page.goto(`${base}/jobs/demo-alder-bend/repairs`);
  const status = page.getByRole('region', { name: 'Spent by each year' }).getByRole('status');
  const playedS = async () =>
    Number(/played in ([\d.]+) s/.exec((await status.textContent()) ?? '')?.[1]);
  await status.filter({ hasText: 'played in' }).waitFor();
  const loading = await page.evaluate(() =>
    (window as unknown as { long: number[] }).long.splice(0),
  );
  await page.waitForTimeout(1500);
  await page.getByText('See and change them').click();
  const seconds: number[] = [];
  const busy: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await page.getByLabel(/^One backup: emergency call/).fill(String(3000 + round * 500));
    await page.waitForTimeout(500);
    await page.evaluate(() => (window as unknown as { long: number[] }).long.splice(0));
    await page.getByRole('button', { name: 'Keep for this job' }).click();
    await status.filter({ hasText: 'Playing' }).waitFor();
    await status.filter({ hasText: 'played in' }).waitFor();
    await page.waitForTimeout(800);
    seconds.push(await playedS());
    busy.push(
      ...(await page.evaluate(() => (window as unknown as { long: number[] }).long.splice(0))),
    );
  }
  await browser.close();
  const most = (times: readonly number[]) =>
    times.length === 0 ? 'never over 50 ms' : `${Math.max(...times).toFixed(0)} ms`;
  return [
    {
      what: '20,000 histories × 30 years × 3 plans in the worker, Chromium',
      aim: '< 1 s',
      got: `median ${median(seconds).toFixed(1)} s`,
    },
    {
      what: 'longest the screen was busy while they were played anew',
      aim: '≤ 50 ms',
      got: most(busy),
    },
    { what: 'longest while the page came alive', aim: '–', got: most(loading) },
  ];
}
