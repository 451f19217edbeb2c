import { expect } from '@playwright/test';
import { CHROMIUM_WITH_GL } from './chromium';
import { counter, holdUntil, openRig, practise } from './rig';
import { callOut, expectSaved } from './scope';
import { test } from './test';

test.use({ launchOptions: CHROMIUM_WITH_GL });

test('from a rig scope to an issued report, amended once, read over the link on a phone', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(300_000);
  const id = await practise(page, '8 Fern Row');
  // The plain picture is drawn at once: what is tried here is the report.
  await page.goto(`/jobs/${id}/scope?access=A&picture=plain`);
  await page.getByRole('button', { name: 'Start this run' }).click();
  await openRig(page);
  await page.getByLabel('Speed').selectOption('fast');
  const line = page.getByLabel('Call out what you see');
  const pushTo = async (ft: number) => {
    await line.focus();
    await holdUntil(page, 'PageUp', async () => (await counter(page)) >= ft);
  };
  await callOut(page, 'abs 4 in');
  await callOut(page, 'yard');
  await pushTo(9);
  await callOut(page, 'pvc 4 in');
  await pushTo(19);
  await callOut(page, 'offset 1/4 in');
  await page.keyboard.press('Alt+s');
  await line.focus();
  await holdUntil(
    page,
    'PageUp',
    async () => (await page.getByText('as far as the pipe goes').count()) > 0,
  );
  await callOut(page, 'main, seen');
  await line.focus();
  await holdUntil(
    page,
    'PageDown',
    async () => (await page.getByText('The head is at the rim').count()) > 0,
  );
  await callOut(page, 'home');
  await expectSaved(page);

  await page.goto(`/jobs/${id}/report`);
  const issue = page.getByRole('region', { name: /^Issue/ });
  await expect(
    page
      .getByRole('article')
      .getByRole('img', { name: /^Finding 1: / })
      .first(),
  ).toBeVisible();
  const limits = issue.getByLabel('It goes out all the same, because');
  if ((await limits.count()) > 0) await limits.fill('practice');
  await issue.getByRole('button', { name: 'Issue to buyer' }).click();
  await expect(issue.getByRole('link', { name: 'Version 1' })).toBeVisible({ timeout: 30_000 });

  // Amended: other words under the headline.
  await page.getByRole('button', { name: 'Edit these words' }).first().click();
  await page
    .getByRole('textbox', { name: 'Edit these words' })
    .fill('We saw the whole line, and it is sound.');
  await page.getByLabel('Why, for the record').fill('plainer');
  await page.getByRole('button', { name: 'Save these words' }).click();
  await expectSaved(page);
  await issue
    .getByLabel('Why version 1 is amended')
    .fill('The words under the headline were hard to read');
  await issue.getByRole('button', { name: 'Issue version 2' }).click();
  await expect(issue.getByRole('link', { name: 'Version 2' })).toBeVisible({ timeout: 30_000 });

  await page.getByLabel('Recipient').fill('the buyer');
  await page.getByRole('button', { name: 'Create a link' }).click();
  const link = await page.getByLabel('The link').inputValue();
  expect(link).toMatch(new RegExp(`^${baseURL}/r/[\\w-]{43}$`));

  const phone = await browser.newContext({
    javaScriptEnabled: false,
    viewport: { width: 390, height: 844 },
  });
  const reading = await phone.newPage();
  const response = await reading.goto(link);
  expect(response!.headers()).toMatchObject({
    'x-robots-tag': 'noindex, nofollow',
    'referrer-policy': 'no-referrer',
  });
  await expect(reading.getByText('We saw the whole line, and it is sound.')).toBeVisible();
  await expect(reading.getByText('Version 2: what changed since version 1')).toBeVisible();
  await expect(reading.getByText('The words under the headline were hard to read.')).toBeVisible();
  await expect(reading.getByText(/Checked against its seal/)).toBeVisible();
  const image = reading.getByRole('img', { name: /^Finding 1: / }).first();
  await image.scrollIntoViewIfNeeded();
  await expect
    .poll(() => image.evaluate((one) => (one as HTMLImageElement).naturalWidth))
    .toBeGreaterThan(0);
  expect(await reading.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await reading.getByRole('link', { name: /^1, / }).click();
  await expect(reading.getByRole('note')).toContainText('Version 2 has taken its place');
  await expect(reading.getByText('We saw the whole line, and it is sound.')).toHaveCount(0);
  await phone.close();
});
