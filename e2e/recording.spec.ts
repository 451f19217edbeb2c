import { expect } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { expectPicture, record, runOnServer, seconds, storedBytes } from './looking';
import { bookJob, callOut, expectSaved, startRun } from './scope';
import { test } from './test';

test('a recording outlives its page, and what was logged leads to its moments', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const id = await bookJob(page, '3 Lens Row');
  await startRun(page);
  await record(page);
  await callOut(page, '0 cast iron 4 in');
  await seconds(4);
  await callOut(page, 'roots at 12 ft, 30%');
  await seconds(5);
  await expectSaved(page);
  // Gone without a word, as when a tablet's battery dies.
  await page.goto('about:blank');
  await page.goto(`/jobs/${id}/look`);
  await expectPicture(page);
  const run = await runOnServer(page, id);
  const [recording] = run.recordings ?? [];
  expect(recording).toMatchObject({ source: 'camera', place: 'server' });
  expect(await storedBytes(page, id, recording!.id)).toBeGreaterThan(50_000);
  const row = page.getByRole('button', { name: /Roots/ });
  await row.click();
  // Four seconds and what typing took.
  await expect
    .poll(() => page.locator('video').evaluate((video: HTMLVideoElement) => video.currentTime))
    .toBeGreaterThan(3);
  await page.keyboard.press('Escape');
  for (const light of LIGHTS) await expectAccessible(page, light);
});

test('a stored recording tells its length and seeks, and a clip of it is a video of its own', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const id = await bookJob(page, '4 Lens Row');
  await startRun(page);
  await record(page);
  await callOut(page, '0 cast iron 4 in');
  await seconds(9);
  await callOut(page, 'roots at 12 ft, 30%');
  await seconds(9);
  await page.getByRole('button', { name: /^Stop/ }).click();
  await expectSaved(page);
  // What is still being made is served as it comes.
  await seconds(9);
  await page.goto(`/jobs/${id}/look`);
  await expectPicture(page);
  const video = page.locator('video');
  const lastsS = await video.evaluate((element: HTMLVideoElement) => element.duration);
  expect(lastsS).toBeGreaterThan(17);
  expect(lastsS).toBeLessThan(40);
  await video.evaluate((element: HTMLVideoElement) => {
    element.currentTime = element.duration - 2;
  });
  await expect
    .poll(() =>
      video.evaluate((element: HTMLVideoElement) => [element.seeking, element.readyState]),
    )
    .toEqual([false, 4]);
  await page.getByRole('button', { name: /Roots/ }).click();
  const clip = page.getByRole('link', { name: 'Clip' });
  const href = (await clip.getAttribute('href'))!;
  const download = page.waitForEvent('download');
  await clip.click();
  expect((await download).suggestedFilename()).toMatch(/^clip-\d+s\.webm$/);
  const clipS = await page.evaluate(async (url) => {
    const element = document.createElement('video');
    element.src = URL.createObjectURL(await (await fetch(url)).blob());
    await new Promise((resolve, reject) => {
      element.onloadeddata = resolve;
      element.onerror = reject;
    });
    return element.duration;
  }, href);
  expect(clipS).toBeGreaterThan(5);
  // A picture to begin with comes every two seconds.
  expect(clipS).toBeLessThan(17);
});

test('without signal a recording goes on, and is sent when there is one', async ({
  page,
  context,
}) => {
  test.setTimeout(120_000);
  const id = await bookJob(page, '5 Lens Row');
  await startRun(page);
  await expectSaved(page);
  await record(page);
  await seconds(2);
  await context.setOffline(true);
  await seconds(8);
  await callOut(page, 'clay 20');
  await page.getByRole('button', { name: /^Stop/ }).click();
  await context.setOffline(false);
  await expectSaved(page);
  const { recordings, entries } = await runOnServer(page, id);
  expect(entries.some(({ readingFt }) => readingFt === 20)).toBe(true);
  const [recording] = recordings!;
  expect(recording!.durationMs).toBeGreaterThan(9_000);
  expect(await storedBytes(page, id, recording!.id)).toBeGreaterThan(100_000);
  await page.goto(`/jobs/${id}/look`);
  await expectPicture(page);
  const length = await page.locator('video').evaluate(async (video: HTMLVideoElement) => {
    video.currentTime = 1e7;
    await new Promise((resolve) => video.addEventListener('seeked', resolve, { once: true }));
    return video.currentTime;
  });
  expect(length).toBeGreaterThan(8);
});

test('a reel on a cable turns the counter, and its readings are kept beside the recording', async ({
  page,
}) => {
  test.setTimeout(120_000);
  // A simulated reel: pushed at a foot a second.
  await page.addInitScript(() => {
    const port = {
      open: () => Promise.resolve(),
      close: () => Promise.resolve(),
      readable: new ReadableStream<Uint8Array>({
        start: (control) => {
          let tenths = 0;
          setInterval(() => {
            tenths += 2;
            control.enqueue(new TextEncoder().encode(`D:${(tenths / 10).toFixed(1)}ft\r\n`));
          }, 200);
        },
      }),
    };
    Object.defineProperty(navigator, 'serial', {
      value: { requestPort: () => Promise.resolve(port) },
    });
  });
  const id = await bookJob(page, '12 Lens Row');
  await startRun(page);
  await page.getByRole('button', { name: 'Counter by cable' }).click();
  await expect(page.getByText('from the reel')).toBeVisible();
  await record(page);
  await seconds(3);
  // Said without a footage: it takes the reel's.
  await callOut(page, 'roots 30%');
  await seconds(4);
  await page.getByRole('button', { name: /^Stop/ }).click();
  await expectSaved(page);
  await page.getByRole('button', { name: 'Counter by cable: stop' }).click();
  await expect(page.getByLabel('Counter, ft')).not.toHaveValue('0.0');
  await expect
    .poll(async () => (await runOnServer(page, id)).recordings?.[0]?.counter?.length ?? 0)
    .toBeGreaterThan(1);
  const { entries, recordings } = await runOnServer(page, id);
  const [first, last] = [recordings![0]!.counter![0]!, recordings![0]!.counter!.at(-1)!];
  // About a foot a second, by the reel.
  const speed = (last[1] - first[1]) / ((last[0] - first[0]) / 1000);
  expect(speed).toBeGreaterThan(0.7);
  expect(speed).toBeLessThan(1.3);
  expect(entries.at(-1)!.readingFt).toBeGreaterThan(2);
});
