import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import type { Row } from './row';
import { median, percentile } from './times';

/** From the Enter key going down to the frame in which the row stands on the tape, ms. */
async function enterToPaint(page: Page, text: string): Promise<number> {
  await page.getByLabel('Call out what you see').fill(text);
  // The chip has settled: what is timed is the logging.
  await page.waitForTimeout(150);
  await page.evaluate(() => {
    const tape = document.querySelector('section[aria-label^="Tape"]')!;
    const rows = () => tape.querySelectorAll('li').length;
    const known = new Set([...tape.querySelectorAll('li')]);
    const state = window as unknown as { painted: Promise<number> };
    state.painted = new Promise((resolve) => {
      let startMs = 0;
      window.addEventListener('keydown', () => (startMs = performance.now()), {
        once: true,
        capture: true,
      });
      const watch = new MutationObserver(() => {
        if (rows() === 0 || [...tape.querySelectorAll('li')].every((row) => known.has(row))) return;
        watch.disconnect();
        // The next frame shows it; a task after that frame has been painted.
        requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - startMs), 0));
      });
      watch.observe(tape, { childList: true, subtree: true });
    });
  });
  await page.keyboard.press('Enter');
  return page.evaluate(() => (window as unknown as { painted: Promise<number> }).painted);
}

/** Times logging by keyboard in Chromium, over a log of a typical and of a long scope. */
export async function benchTyping(
  base: string,
  jobs: readonly (readonly [entries: number, jobId: string, aimMs: number])[],
): Promise<Row[]> {
  const browser = await chromium.launch(CHROMIUM);
  const rows: Row[] = [];
  for (const [entries, jobId, aimMs] of jobs) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/jobs/${jobId}/scope`);
    await page.waitForFunction(() => document.activeElement?.id === 'line');
    const times: number[] = [];
    for (let round = 0; round < 20; round += 1)
      times.push(await enterToPaint(page, `roots ${20 + round} ft 20% at joint`));
    rows.push({
      what: `Enter to painted row, ${entries} entries in the log`,
      aim: `≤ ${aimMs} ms`,
      got: `median ${median(times).toFixed(0)} ms, p90 ${percentile(times, 0.9).toFixed(0)} ms`,
    });
    await page.close();
  }
  await browser.close();
  return rows;
}
