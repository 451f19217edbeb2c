import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { mailCatcher } from '../src/server/testing/mail-catcher';
import { expectAccessible, LIGHTS } from './axe';
import { CHROMIUM_WITH_GL } from './chromium';
import { ownServer } from './own-server';
import { counter, holdUntil, openRig, practise } from './rig';
import { callOut, expectSaved } from './scope';
import { OWN_PORT } from './server-env';
import { test } from './test';

const MAIL_PORT = 4884;
const server = ownServer(OWN_PORT.firm, {
  CHERT_SMTP: `smtp://127.0.0.1:${MAIL_PORT}`,
  CHERT_MAIL_FROM: 'office@marlpit.example',
});
const mail = mailCatcher(MAIL_PORT);
test.use({ baseURL: server.base, launchOptions: CHROMIUM_WITH_GL });
test.beforeAll(mail.start);
test.afterAll(mail.end);
test.beforeEach(server.reset);
test.afterEach(server.end);

test('from a first run to a signed report with stills, its closing sheet on a phone, and the mail that carries it', async ({
  page,
  browser,
}) => {
  test.setTimeout(300_000);
  await server.start();
  await page.goto('/');
  await page.getByRole('link', { name: 'Set up your firm' }).click();
  await page.waitForURL(/\/firm$/);
  await page.reload();
  await page.getByLabel('Firm', { exact: true }).fill('Marlpit Sewer Scopes');
  await page.getByLabel('Your name').fill('R. Vale');
  await page.getByLabel('License').fill('HI-00000 (sample)');
  const { logo } = JSON.parse(readFileSync('demo/firm.json', 'utf8')) as { logo: string };
  await page.getByLabel('Logo', { exact: true }).setInputFiles({
    name: 'logo.png',
    mimeType: 'image/png',
    buffer: Buffer.from(logo.split(',')[1]!, 'base64'),
  });
  await expect(page.getByRole('img', { name: 'Logo, as it is printed' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Terms' }).fill('Our own terms.');
  for (const light of LIGHTS) await expectAccessible(page, light);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('Saved.');

  const id = await practise(page, '8 Fern Row');
  await page.goto(`/jobs/${id}/scope?access=A&picture=plain`);
  await page.getByRole('button', { name: 'Start this run' }).click();
  await openRig(page);
  await page.getByLabel('Speed').selectOption('fast');
  const line = page.getByLabel('Call out what you see');
  await callOut(page, 'abs 4 in');
  await callOut(page, 'yard');
  await line.focus();
  await holdUntil(page, 'PageUp', async () => (await counter(page)) >= 9);
  await callOut(page, 'break displaced');
  await page.keyboard.press('Alt+s');
  await expectSaved(page);

  await page.goto(`/jobs/${id}/report`);
  const paper = page.getByRole('article');
  await expect(paper).toContainText('Marlpit Sewer Scopes');
  await expect(paper).toContainText('A draft: not signed.');
  const issue = page.getByRole('region', { name: /^Issue/ });
  await issue.getByLabel('It goes out all the same, because').fill('the rest is seen tomorrow');
  await issue.getByRole('button', { name: 'Issue to buyer' }).click();
  await expect(issue.getByRole('link', { name: 'Version 1' })).toBeVisible({ timeout: 30_000 });

  await page.getByLabel('Recipient').fill('the buyer');
  await page.getByRole('button', { name: 'Create a link' }).click();
  const link = await page.getByLabel('The link').inputValue();
  const phone = await browser.newContext({
    javaScriptEnabled: false,
    viewport: { width: 390, height: 844 },
  });
  const reading = await phone.newPage();
  await reading.goto(link);
  await expect(reading.getByText('For the closing table: repair, or a credit')).toBeVisible();
  await expect(reading.getByText('Questions for the seller')).toBeVisible();
  await expect(reading.getByText('Our own terms.')).toBeVisible();
  await expect(reading.getByText(/^Signed \d+ \w+ \d{4}\.$/)).toBeVisible();
  const still = reading.getByRole('img', { name: /^Finding 1: broken pipe/ }).first();
  await still.scrollIntoViewIfNeeded();
  await expect
    .poll(() => still.evaluate((one) => (one as HTMLImageElement).naturalWidth))
    .toBeGreaterThan(0);
  expect(await reading.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await phone.close();

  const send = page.getByRole('region', { name: 'Send', exact: true });
  await send.getByLabel('To', { exact: true }).fill('buyer@home.example');
  await send.getByRole('button', { name: 'Send it' }).click();
  await expect(send.getByRole('status')).toContainText('the email service has taken it');
  expect(mail.caught).toHaveLength(1);
  expect(mail.caught[0]).toContain('To: buyer@home.example');
  expect(mail.caught[0]).toContain('filename=buyer.pdf');
  expect(mail.caught[0]).toContain('filename=calendar.ics');

  // A mailbox that is not there bounces, and says so where it can be tried again.
  await send.getByLabel('To', { exact: true }).fill('nobody@home.example');
  await send.getByRole('button', { name: 'Send it' }).click();
  await expect(send.getByRole('status')).toContainText('It bounced');
  await page.goto('/outbox');
  const message = page.getByRole('article').first();
  await expect(message).toContainText('no such mailbox');
  await message.getByRole('button', { name: 'Try again' }).click();
  await expect(message).toContainText('Bounced');
});

test('who signs is asked once, and can be waved off', async ({ page }) => {
  await server.start();
  await page.goto('/');
  await page.getByRole('button', { name: 'Not now' }).click();
  await expect(page.getByText('Who signs your reports?')).toHaveCount(0);
  await page.goto('/');
  await expect(page.getByText('Who signs your reports?')).toHaveCount(0);
});
