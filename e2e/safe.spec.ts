import { expect } from '@playwright/test';
import { putCopy } from './copies';
import { bookJob, callOut, expectSaved, loggedOnServer, startRun } from './scope';
import { test } from './test';

const LOGIN = { contentType: 'text/html', body: '<h1>Welcome to our Wi-Fi</h1>' };

test('a login page answers: nothing counts as saved, nothing is refused, all is sent afterwards', async ({
  page,
}) => {
  const id = await bookJob(page, '40 Flint Row');
  await startRun(page);
  await expectSaved(page);
  for (const status of [200, 204, 401, 403, 404, 429]) {
    await page.route('**/api/**', (route) => route.fulfill({ ...LOGIN, status }));
    await callOut(page, `tee ${status / 10} ft`);
    await expect(page.getByRole('status').filter({ hasText: 'to send' })).toBeVisible();
    await page.unroute('**/api/**');
  }
  await page.route('**/api/**', (route) => route.fulfill({ ...LOGIN, status: 200 }));
  await callOut(page, 'wye 50 ft');
  await expect(page.getByRole('alert')).toContainText('Something other than Chert answers here');
  await expect(page.getByRole('button', { name: 'Take it out' })).toHaveCount(0);
  await page.unroute('**/api/**');
  await expectSaved(page);
  expect(await loggedOnServer(page, id)).toHaveLength(7);
});

test('the year built said last stays, over reloads, and a save of something else does not undo it', async ({
  page,
}) => {
  await putCopy(page, 'alder-bend', 'safe-year');
  const year = async (value: string) => {
    await page.getByLabel('Year built').fill(value);
    await page.getByRole('button', { name: /^Keep|^Save/ }).click();
    await expectSaved(page);
  };
  await page.goto('/jobs/safe-year/site');
  await year('1950');
  await page.reload();
  await year('1985');
  for (let reload = 0; reload < 3; reload += 1) {
    await page.reload();
    await expect(page.getByLabel('Year built')).toHaveValue('1985');
  }
  // Another device says 2001 meanwhile; this form still shows 1985, and saves the client.
  const saidAt = new Date().toISOString();
  const edits = [{ path: ['property', 'yearBuilt'], value: 2001 }];
  await page.request.patch('/api/jobs/safe-year', {
    data: { id: 'other-1', device: 'other', saidAt, base: 1, edits },
  });
  await page.getByLabel('For', { exact: true }).fill('Q. Reed');
  await page.getByRole('button', { name: /^Keep|^Save/ }).click();
  await expectSaved(page);
  const file = await (await page.request.get('/api/jobs/safe-year/file')).json();
  expect([file.property.yearBuilt, file.job.client]).toEqual([2001, 'Q. Reed']);
  await page.getByRole('button', { name: 'Show what was changed' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'house: year built' })).toHaveCount(3);
});

test('two devices set one field without seeing each other: the later stands, and it is told', async ({
  page,
}) => {
  await putCopy(page, 'alder-bend', 'safe-both');
  await page.goto('/jobs/safe-both/site');
  const saidAt = new Date().toISOString();
  const edits = [{ path: ['property', 'yearBuilt'], value: 1950 }];
  await page.request.patch('/api/jobs/safe-both', {
    data: { id: 'other-2', device: 'other', saidAt, base: 1, edits },
  });
  await page.getByLabel('Year built').fill('1985');
  await page.getByRole('button', { name: /^Keep|^Save/ }).click();
  await expect(page.getByText('Two devices set “house: year built”')).toContainText(
    '1985 came later and stands; the other was 1950',
  );
  await page.getByRole('button', { name: 'I have seen it' }).click();
  await page.reload();
  await expect(page.getByText('Two devices set')).toHaveCount(0);
  await expect(page.getByLabel('Year built')).toHaveValue('1985');
});

test('two devices begin a second run offline: two runs, each with its own log', async ({
  browser,
  baseURL,
}) => {
  const contexts = [
    await browser.newContext({ baseURL: baseURL! }),
    await browser.newContext({ baseURL: baseURL! }),
  ];
  const [one, two] = await Promise.all(contexts.map((context) => context.newPage()));
  const id = await bookJob(one!, '41 Flint Row');
  await startRun(one!);
  await expectSaved(one!);
  await two!.goto(`/jobs/${id}/scope`);
  await expect(two!.getByLabel('Call out what you see')).toBeFocused();
  for (const [number, page] of [one!, two!].entries()) {
    await page.route('**/api/**', (route) => route.abort());
    await page.getByRole('button', { name: 'New run' }).click();
    await page.getByRole('button', { name: 'Start this run' }).click();
    await callOut(page, `tee ${20 + number} ft`);
    await expect(page.getByRole('region', { name: 'Tape of run R2' })).toContainText('Tee');
  }
  for (const page of [one!, two!]) {
    await page.unroute('**/api/**');
    await expectSaved(page);
  }
  await one!.reload();
  await expect(one!.getByLabel('Run shown').locator('option')).toHaveText([/^R1/, /^R2/, /^R3/]);
  const file = await (await one!.request.get(`/api/jobs/${id}/file`, { headers: {} })).json();
  expect(
    file.runs.map((run: { label: string; entries: unknown[] }) => [run.label, run.entries.length]),
  ).toEqual([
    ['R1', 0],
    ['R2', 1],
    ['R3', 1],
  ]);
  // The second device goes on in its own run, under its new name.
  await expect(two!.getByRole('region', { name: 'Tape of run R3' })).toContainText('Tee');
  for (const context of contexts) await context.close();
});

test('a device without room says so at once, sends from the page, and warns before it is left', async ({
  page,
}) => {
  await page.addInitScript(() => {
    // eslint-disable-next-line @typescript-eslint/unbound-method -- called with the store it was called on
    const add = IDBObjectStore.prototype.add;
    IDBObjectStore.prototype.add = function full(this: IDBObjectStore, ...given) {
      if ((window as { isFull?: boolean }).isFull && this.name === 'changes')
        throw new DOMException('full', 'QuotaExceededError');
      return add.apply(this, given);
    };
  });
  const id = await bookJob(page, '42 Flint Row');
  await startRun(page);
  await expectSaved(page);
  await page.route('**/api/**', (route) => route.fulfill({ ...LOGIN, status: 200 }));
  await page.evaluate(() => Object.assign(window, { isFull: true }));
  await callOut(page, 'tee 20 ft');
  await expect(
    page.getByRole('status').filter({ hasText: 'Not kept on this device · 1 to send' }),
  ).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'no room left' })).toBeVisible();
  let warned = 0;
  page.on('dialog', (dialog) => {
    warned += 1;
    void dialog.dismiss();
  });
  await page.evaluate(() => window.location.reload()).catch(() => undefined);
  await expect.poll(() => warned).toBe(1);
  await page.unroute('**/api/**');
  await expectSaved(page);
  expect(await loggedOnServer(page, id)).toHaveLength(1);
});

test('a browser elsewhere gives the token once; a link needs none; strangers are not answered', async ({
  request,
}) => {
  const ask = (path: string, headers: Record<string, string>) =>
    request.get(path, { headers: { authorization: '', ...headers } });
  expect((await ask('/', { 'x-forwarded-for': '10.0.0.7' })).status()).toBe(421);
  expect((await ask('/', { host: 'scope.example' })).status()).toBe(421);
  const bare = await request.post('/api/jobs', { data: {}, headers: { authorization: '' } });
  expect(bare.status()).toBe(403);
  expect((await request.fetch('/api/jobs', { method: 'TRACE' })).status()).toBe(405);
});

test('a word without a break scrolls no page sideways, on a screen or a phone', async ({
  page,
}) => {
  const long = 'W'.repeat(180);
  await putCopy(page, 'alder-bend', 'safe-long', (file) => {
    file.job['title'] = long;
    file.job['client'] = long;
    file.property['address'] = long;
    for (const entry of file.runs[0]!.entries) entry['note'] = long;
  });
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 800 });
    for (const path of [
      '/',
      ...['site', 'scope', 'lateral', 'findings', 'repairs', 'report', 'remove'].map(
        (name) => `/jobs/safe-long/${name}`,
      ),
    ]) {
      await page.goto(path);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - window.innerWidth,
      );
      expect.soft([path, width, over]).toEqual([path, width, Math.min(over, 0)]);
    }
  }
});
