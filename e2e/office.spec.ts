import { expect, type Page } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { ownServer } from './own-server';
import { letIn, makeOwner, signAs } from './people';
import { OWN_PORT } from './server-env';
import { test } from './test';

const server = ownServer(OWN_PORT.office);
test.use({ baseURL: server.base, timezoneId: 'America/Los_Angeles' });
test.beforeEach(server.reset);
test.afterEach(server.end);

/** A Monday that is no holiday, far enough ahead. */
const WEEK = '2027-03-01';
const DAYS = ['2027-03-01', '2027-03-02', '2027-03-03'];

/** Books jobs as a script on this machine does. */
async function book(
  page: Page,
  jobs: readonly (readonly [address: string, inspector: string, at: string])[],
) {
  for (const [address, inspector, at] of jobs) {
    const response = await page.request.post(`${server.base}/api/jobs`, {
      headers: { origin: server.base },
      data: {
        id: address.replace(/\W+/g, '-').toLowerCase(),
        address,
        client: 'C. Dale',
        inspector,
        scheduledFor: `${at}:00-08:00`,
        scope: 'lateral',
        responsibility: 'to-main',
      },
    });
    expect(response.status()).toBe(201);
  }
}
const cell = (page: Page, who: string, day: number) =>
  page
    .getByRole('row', { name: new RegExp(`^${who}`) })
    .getByRole('cell')
    .nth(day);
const card = (page: Page, text: string) => page.getByRole('button', { name: new RegExp(text) });
const stored = async (page: Page, id: string) =>
  (
    (await (await page.request.get(`${server.base}/api/jobs/${id}`)).json()) as {
      inspection: { job: { scheduledFor: string; inspector: string } };
    }
  ).inspection.job;

test('a week is moved about by keys alone, and by hand', async ({ page }) => {
  await server.start();
  await book(page, [
    ['1 Elm Row', 'Ann Ellery', `${DAYS[0]!}T09:00`],
    ['2 Oak Row', 'Ann Ellery', `${DAYS[0]!}T09:30`],
    ['3 Fir Row', 'Bo Tran', `${DAYS[1]!}T13:00`],
  ]);
  await page.goto(`/board?week=${WEEK}`);
  await expect(cell(page, 'Ann Ellery', 0)).toContainText('1 Elm Row and 2 Oak Row overlap by');
  for (const light of LIGHTS) await expectAccessible(page, light);

  // By keys: two days on, to the other, an hour later.
  await card(page, '2 Oak Row').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText(
    'is taken up: Ann Ellery, Mon 1 Mar, 9:30 am',
  );
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown', '+', '+', '+', '+'])
    await page.keyboard.press(key);
  await expect(page.getByRole('status')).toContainText('Bo Tran, Wed 3 Mar, 10:30 am');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText('Saved.');
  await expect(cell(page, 'Bo Tran', 2)).toContainText('2 Oak Row');
  expect(await stored(page, '2-oak-row')).toMatchObject({
    scheduledFor: '2027-03-03T10:30:00-08:00',
    inspector: 'Bo Tran',
  });
  await expect(page.getByText('overlap')).toBeHidden();

  // Let be, it stays.
  await card(page, '3 Fir Row').focus();
  for (const key of ['Enter', 'ArrowLeft', 'Escape']) await page.keyboard.press(key);
  await expect(cell(page, 'Bo Tran', 1)).toContainText('3 Fir Row');

  // By hand.
  await page
    .getByRole('article')
    .filter({ hasText: '3 Fir Row' })
    .dragTo(cell(page, 'Ann Ellery', 1));
  await expect(cell(page, 'Ann Ellery', 1)).toContainText('3 Fir Row');
  await expect(page.getByRole('status')).toContainText('Saved.');
  expect(await stored(page, '3-fir-row')).toMatchObject({ inspector: 'Ann Ellery' });
  await page.reload();
  await expect(cell(page, 'Ann Ellery', 1)).toContainText('3 Fir Row');
});

test('on a phone a week is read down, and a job moved by touch', async ({ page }) => {
  await server.start();
  await book(page, [
    ['1 Elm Row', 'Ann Ellery', `${DAYS[0]!}T09:00`],
    ['2 Oak Row', 'Bo Tran', `${DAYS[1]!}T13:00`],
  ]);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/board?week=${WEEK}`);
  await expect(page.locator('[data-ready="true"]')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await card(page, '1 Elm Row').click();
  for (const light of LIGHTS) await expectAccessible(page, light);
  for (const move of ['Day after', 'Person below', '15 minutes earlier'])
    await page.getByRole('button', { name: move }).click();
  // What is moved stays in sight, above what moves it.
  const [moved, bar] = await Promise.all([
    card(page, '1 Elm Row').boundingBox(),
    page.getByRole('toolbar').boundingBox(),
  ]);
  expect(moved!.y + moved!.height).toBeLessThanOrEqual(bar!.y);
  await page.getByRole('button', { name: 'Drop here' }).click();
  await expect(page.getByRole('status')).toContainText('Saved.');
  await expect(page.getByRole('toolbar')).toBeHidden();
  expect(await stored(page, '1-elm-row')).toMatchObject({
    scheduledFor: '2027-03-02T08:45:00-08:00',
    inspector: 'Bo Tran',
  });
});

test('a booking is offered free times, and takes one', async ({ page }) => {
  await server.start();
  await page.goto('/');
  await page.getByLabel('Property').fill('9 Ash Row');
  await page.getByLabel('For', { exact: true }).fill('C. Dale');
  await page.getByLabel('Inspector').fill('Ann Ellery');
  await page.getByRole('button', { name: 'Offer free times' }).click();
  const times = page.getByRole('list', { name: 'Free times' }).getByRole('button');
  await expect(times.first()).toBeVisible();
  const said = (await times.nth(1).textContent())!;
  await times.nth(1).click();
  await expect(page.getByLabel('Scope on')).not.toHaveValue('');
  const day = await page.getByLabel('Scope on').inputValue();
  expect(said).toContain(String(Number(day.slice(8))));
  await page.getByRole('button', { name: 'Book the job' }).click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/site$/);
  await expect(page.getByLabel('Scope on')).toHaveValue(day);
});

test('what is due stands by urgency, and is off the list once it is done', async ({ page }) => {
  server.seed();
  await server.start();
  await page.goto('/due');
  for (const light of LIGHTS) await expectAccessible(page, light);
  const late = page
    .getByRole('listitem')
    .filter({ hasText: '3 Quarry Lane. Its report is to be issued.' });
  await late.getByRole('link', { name: 'Issue the report' }).click();
  await expect(page).toHaveURL(/demo-quarry-lane\/report$/);
  await page.goto('/due');
  await late.getByRole('button', { name: /^Done/ }).click();
  await expect(page.getByRole('status')).toContainText('off the list');
  await expect(late).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(late).toBeVisible();
});

test('every page of the office fits a phone, and a report is signed by whose it is', async ({
  page,
}) => {
  await server.start();
  const owner = await makeOwner(server.base);
  const ann = await letIn(server.base, owner, 'Ann Ellery', 'inspector');
  await signAs(page, server.base, ann.cookie);
  await page.goto('/me');
  const signing = page.getByRole('region', { name: 'License and signature' });
  await signing.getByLabel('License').fill('HI-7');
  await signing.getByRole('button', { name: 'Save' }).click();
  await expect(signing.getByRole('status')).toContainText('Saved.');
  await book(page, [['5 Ash Row', 'Ann Ellery', `${DAYS[0]!}T09:00`]]);
  await page.goto('/jobs/5-ash-row/report');
  await expect(page.getByRole('region', { name: 'Signature' })).toContainText('License HI-7');

  await signAs(page, server.base, owner);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of [
    '/',
    '/due',
    '/board',
    '/people',
    '/me',
    '/settings',
    '/contacts',
    '/outbox',
    '/firm',
    '/prices',
  ]) {
    await page.goto(path);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width, path).toBeLessThanOrEqual(390);
  }
});
