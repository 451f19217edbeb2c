import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { ownServer } from './own-server';
import { bookJob, callOut, expectSaved, loggedOnServer, show, startRun } from './scope';
import { OWN_PORT } from './server-env';
import { test } from './test';

const server = ownServer(OWN_PORT.nothingLost);
test.use({ baseURL: server.base });
test.beforeEach(server.reset);
test.afterEach(server.end);
test.setTimeout(120_000);

test('60 entries with the server killed for half of them and two reloads: all there once, in order', async ({
  page,
}) => {
  await server.start();
  const id = await bookJob(page, '20 Flint Row');
  await startRun(page);
  for (let foot = 1; foot <= 15; foot += 1) await callOut(page, `tee ${foot + 12} ft`);
  await expectSaved(page);
  // The page is kept for a time without the server.
  await page.evaluate(async (path) => {
    await navigator.serviceWorker.ready;
    while (!(await caches.match(path))) await new Promise((done) => setTimeout(done, 50));
  }, `/jobs/${id}/scope`);
  await server.kill();
  for (let foot = 16; foot <= 30; foot += 1) await callOut(page, `tee ${foot + 12} ft`);
  await expect(page.getByRole('status').filter({ hasText: '15 to send' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  for (let foot = 31; foot <= 45; foot += 1) await callOut(page, `tee ${foot + 12} ft`);
  await expect(page.getByRole('status').filter({ hasText: '30 to send' })).toBeVisible();
  await server.start();
  await expectSaved(page);
  await page.reload();
  for (let foot = 46; foot <= 60; foot += 1) await callOut(page, `tee ${foot + 12} ft`);
  await expectSaved(page);
  await show(page, 'List');
  await expect(
    page.getByRole('region', { name: 'Log of run R1' }).getByRole('listitem'),
  ).toHaveCount(60);
  const readings = (await loggedOnServer(page, id)).map(({ readingFt }) => readingFt);
  expect(readings).toEqual(Array.from({ length: 60 }, (_, index) => index + 13));
});

test('what is logged in the very moment that the page goes is there afterwards', async ({
  page,
}) => {
  await server.start();
  const id = await bookJob(page, '21 Flint Row');
  await startRun(page);
  const line = page.getByLabel('Call out what you see');
  for (let foot = 1; foot <= 12; foot += 1) {
    await expect(line).toBeFocused();
    await line.fill(`tee ${foot + 12} ft`);
    // Enter and the reload in one task: nothing that takes its time can end between them.
    await line.evaluate((input: HTMLInputElement) => {
      input.form!.requestSubmit();
      location.reload();
    });
    await expect(line).toHaveValue('');
  }
  await expectSaved(page);
  const readings = (await loggedOnServer(page, id)).map(({ readingFt }) => readingFt);
  expect(readings).toEqual(Array.from({ length: 12 }, (_, index) => index + 13));
});

test('a run started, an access refused and a still taken without the server arrive later', async ({
  page,
}) => {
  await server.start();
  const id = await bookJob(page, '21 Flint Row');
  await startRun(page);
  await expectSaved(page);
  await server.kill();
  await page.getByRole('button', { name: 'New run' }).click();
  await page.getByLabel('Facing').selectOption('upstream');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await callOut(page, 'roots 20 ft 10%');
  await page.getByLabel('Choose a still').setInputFiles('docs/screenshots/desk.png');
  await expect(page.getByRole('img', { name: /Still at 20.0 ft: Roots/ })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'to send' })).toBeVisible();
  await server.start();
  await expectSaved(page);
  const entries = await loggedOnServer(page, id);
  const photoId = (entries.at(-1) as { photoIds: string[] }).photoIds[0]!;
  const still = await page.request.get(`/api/jobs/${id}/media/${photoId}`);
  expect(still.headers()['content-type']).toBe('image/png');
  expect(Buffer.compare(await still.body(), readFileSync('docs/screenshots/desk.png'))).toBe(0);
  await page.reload();
  await expect(page.getByRole('img', { name: /Still at 20.0 ft: Roots/ })).toBeVisible();
});

test('two tabs log the same run: each sees the other, nothing is doubled', async ({ context }) => {
  await server.start();
  const first = await context.newPage();
  const id = await bookJob(first, '22 Flint Row');
  await startRun(first);
  await expectSaved(first);
  const second = await context.newPage();
  await second.goto(`/jobs/${id}/scope`);
  await expect(second.getByLabel('Call out what you see')).toBeFocused();
  for (let round = 0; round < 6; round += 1) {
    await first.bringToFront();
    await callOut(first, `tee ${20 + round * 2} ft`);
    await second.bringToFront();
    await callOut(second, `wye ${21 + round * 2} ft`);
  }
  for (const page of [first, second]) {
    await page.bringToFront();
    await expectSaved(page);
    await show(page, 'List');
    await expect(
      page.getByRole('region', { name: 'Log of run R1' }).getByRole('listitem'),
    ).toHaveCount(12);
  }
  const ids = (await loggedOnServer(first, id)).map((entry) => entry['id']);
  expect([ids.length, new Set(ids).size]).toEqual([12, 12]);
});

test('a full disk on the server is said, and everything is sent when there is room', async ({
  page,
}) => {
  await server.start();
  const id = await bookJob(page, '23 Flint Row');
  await startRun(page);
  await expectSaved(page);
  const { chert: stamp } = (await (await page.request.get(`${server.base}/api/health`)).json()) as {
    chert: unknown;
  };
  await page.route('**/entries', (route) =>
    route.fulfill({
      status: 507,
      contentType: 'application/json',
      body: JSON.stringify({
        chert: stamp,
        error: { code: 'disk-full', message: 'The disk under Chert’s data is full.', faults: [] },
      }),
    }),
  );
  await callOut(page, 'tee 20 ft');
  await expect(page.getByRole('alert')).toContainText('disk under Chert’s data is full');
  await page.unroute('**/entries');
  await expectSaved(page);
  expect(await loggedOnServer(page, id)).toHaveLength(1);
});

test('a file that is no picture is refused with what was expected, in the page and at the door', async ({
  page,
}) => {
  await server.start();
  const id = await bookJob(page, '24 Flint Row');
  await startRun(page);
  await page.getByLabel('Choose a still').setInputFiles({
    name: 'evil.png',
    mimeType: 'image/png',
    buffer: Buffer.from('<svg onload="alert(1)"/>'),
  });
  await expect(page.getByRole('alert')).toContainText('Expected a JPEG or PNG picture');
  const at = `/api/jobs/${id}/media/x`;
  const put = (data: Buffer) =>
    page.request.put(at, { data, headers: { 'content-type': 'image/png' } });
  expect((await put(Buffer.from('<svg/>'))).status()).toBe(415);
  expect((await put(Buffer.alloc(11 * 1024 * 1024, 0xff))).status()).toBe(413);
});

test('a report that was issued is not shown as the draft that the device kept, however slow the server', async ({
  page,
}) => {
  server.seed();
  await server.start();
  const path = '/jobs/demo-sedge-lane/report';
  await page.goto(path);
  await page.evaluate(() => navigator.serviceWorker.ready);
  // Kept for a time without the server.
  await page.reload();
  await page.waitForFunction(async (kept) => Boolean(await caches.match(kept)), path);
  const issue = page.getByRole('region', { name: /^Issue/ });
  const limits = issue.getByLabel('It goes out all the same, because');
  await expect(issue.getByRole('button', { name: 'Issue to buyer' })).toBeEnabled();
  if ((await limits.count()) > 0) await limits.fill('practice');
  await page.route('**/issued', async (route) => {
    const response = await route.fetch();
    const goOn = server.pause();
    setTimeout(goOn, 7_000);
    await route.fulfill({ response });
  });
  await issue.getByRole('button', { name: 'Issue to buyer' }).click();
  await expect(issue.getByRole('link', { name: 'Version 1' })).toBeVisible({ timeout: 30_000 });

  // Without the server the page is there as it was, and says so.
  await server.kill();
  await page.reload();
  await expect(
    page.getByText(/^The server does not answer\. This page is from \w{3} \d/),
  ).toBeVisible();
  await expect(issue.getByRole('link', { name: 'Version 1' })).toBeVisible();
  for (const light of LIGHTS) await expectAccessible(page, light);
});
