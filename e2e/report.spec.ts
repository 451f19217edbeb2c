import { expect, type Page } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { fileOnServer, openCopyOf, putCopy } from './copies';
import { expectSaved, loggedOnServer } from './scope';
import { test } from './test';

const open = (page: Page, id: string, demo = 'alder-bend') => openCopyOf(page, demo, id, 'report');
const paper = (page: Page) => page.getByRole('article');
const issue = (page: Page) => page.getByRole('region', { name: /^Issue/ });
const issueNow = (page: Page, id: string) =>
  page.request.post(`/api/jobs/${id}/issued`, { data: { reason: '', limits: '' } });

test('three readers, one computation; switches for prices and paper; the grade it reads at', async ({
  page,
}) => {
  await open(page, 'out-readers');
  await expect(paper(page)).toContainText('What to do first');
  await expect(page.getByText(/^Reads at grade \d/)).toBeVisible();
  await expect(paper(page)).toContainText('What it may cost: fix what fails');
  const total = await paper(page)
    .getByRole('row', { name: /All of it/ })
    .getByRole('cell')
    .last()
    .textContent();
  await page.getByRole('button', { name: 'Page for the agent' }).click();
  await expect(paper(page)).toContainText(`All of it: ${total}`);
  await page.getByRole('button', { name: 'Contractor’s sheet' }).click();
  await expect(paper(page)).toContainText('Please quote for 3 works');
  await expect(paper(page)).not.toContainText('$');
  await page.getByRole('button', { name: 'Buyer’s report' }).click();
  await page.getByLabel('Planning prices').uncheck();
  await expect(paper(page)).not.toContainText('$');
  await page.getByLabel('Paper').selectOption('a4');
  await expectSaved(page);
  expect((await fileOnServer(page, 'out-readers')).settings).toEqual({
    report: { prices: false, paper: 'a4' },
  });
  const pdf = await page.request.get('/api/jobs/out-readers/report.pdf?reader=agent');
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('words are edited where they stand, Chert’s are kept beside, and are stale once the text under them changes', async ({
  page,
}) => {
  await open(page, 'out-words');
  const finding = paper(page).locator('section').filter({ hasText: 'Roots at 57 ft' });
  await finding.getByRole('button', { name: 'Edit these words' }).click();
  await expect(finding).toContainText('Chert’s words: Roots fill about 60% of the pipe.');
  await finding
    .getByRole('textbox', { name: 'Edit these words' })
    .fill('A large root mass. Clear it.');
  await finding.getByLabel('Why, for the record').fill('shorter');
  await finding.getByRole('button', { name: 'Save these words' }).click();
  await expect(finding).toContainText('A large root mass. Clear it.');
  await expect(finding).toContainText('Your words.');
  await page.getByRole('button', { name: 'Add a remark of your own' }).click();
  await page
    .getByRole('textbox', { name: 'Add a remark of your own' })
    .fill('The seller was at home.');
  await page.getByRole('button', { name: 'Save these words' }).click();
  await expect(paper(page)).toContainText('From the inspectorThe seller was at home.');
  await expectSaved(page);
  const [kept] = (await fileOnServer(page, 'out-words')).decisions;
  expect(kept).toMatchObject({
    kind: 'report-wording',
    reason: 'shorter',
    text: 'A large root mass. Clear it.',
  });
  expect(String(kept!['over'])).toContain('Roots fill about 60%');

  // The finding is graded by somebody otherwise: the words were put in place of something else.
  const root = (await loggedOnServer(page, 'out-words')).find(
    ({ extentRatio }) => extentRatio === 0.6,
  )!;
  const again = {
    ...root,
    id: 'again',
    replaces: root['id'],
    extentRatio: 0.3,
    at: '2026-11-03T15:00:00-08:00',
  };
  await page.request.post('/api/jobs/out-words/runs/R1/entries', { data: { entries: [again] } });
  await page.reload();
  const now = paper(page).locator('section').filter({ hasText: 'Roots at 57 ft' });
  await expect(now).toContainText('Roots fill about 30%');
  await expect(now.getByRole('note')).toContainText('are not in force');
  await now.getByRole('button', { name: 'Let them go' }).click();
  await expect(now.getByRole('note')).toHaveCount(0);
});

test('a day off moves the steps', async ({ page }) => {
  await open(page, 'out-days');
  await expect(paper(page)).toContainText('By Tue 10 Nov.');
  await page.getByLabel('A day on which nobody works').fill('2026-11-10');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(paper(page)).toContainText('By Mon 9 Nov.');
  await page.getByLabel('Wed 11 Nov, federal').uncheck();
  await expect(paper(page)).toContainText('By Wed 11 Nov.');
  await expectSaved(page);
  expect((await fileOnServer(page, 'out-days')).settings).toEqual({
    holidays: { added: ['2026-11-10'], removed: ['2026-11-11'] },
  });
});

test('issuing is refused with something open, until a reason is stated that the report prints', async ({
  page,
}) => {
  await open(page, 'out-open', 'tern-street');
  await expect(issue(page)).toContainText('One thing holds it back');
  await issue(page).getByRole('button', { name: 'Issue to buyer' }).click();
  await expect(issue(page).getByRole('alert')).toContainText('say why the report goes out with it');
  await issue(page).getByLabel('It goes out all the same, because').fill('the buyer decides today');
  await issue(page).getByRole('button', { name: 'Issue to buyer' }).click();
  await issue(page).getByRole('link', { name: 'Version 1' }).click();
  await expect(paper(page)).toContainText('The reason given: the buyer decides today.');
  await expect(page.getByText(/Checked against its seal/)).toBeVisible();
});

test('a link that is guessed, expired or taken back is not there, and gives nothing away', async ({
  page,
}) => {
  await open(page, 'out-share');
  await issueNow(page, 'out-share');
  await page.reload();
  await page.getByLabel('Recipient').fill('agent');
  await page.getByLabel('Opens').selectOption('agent');
  await page.getByRole('button', { name: 'Create a link' }).click();
  const link = await page.getByLabel('The link').inputValue();
  const get = async (url: string) => {
    const answer = await page.request.get(url);
    return [answer.status(), (await answer.text()).replace(/\s+/g, ' ')] as const;
  };
  expect((await get(link))[0]).toBe(200);
  // It opens the paper that it was made for, and no other, whatever is asked.
  expect((await get(`${link}/agent.pdf`))[0]).toBe(200);
  for (const name of ['buyer.pdf', 'contractor.pdf', 'report.json'])
    expect((await get(`${link}/${name}`))[0]).toBe(404);
  expect((await get(`${link}?reader=contractor`))[1]).toBe((await get(link))[1]);
  const [wrongStatus, wrongText] = await get(`${link.slice(0, -4)}AAAA`);
  await page.getByRole('button', { name: 'Revoke' }).click();
  await expect(page.getByText('agent: page for the agent, revoked')).toBeVisible();
  const [closedStatus, closedText] = await get(link);
  expect([wrongStatus, closedStatus]).toEqual([404, 404]);
  expect(closedText).toBe(wrongText);
  expect(closedText).not.toMatch(/Alder|report|version/i);
  for (const name of ['buyer.pdf', 'calendar.ics', 'report.json', 'inspection.chert.json'])
    expect((await get(`${link}/${name}`))[0]).toBe(404);
});

test('an issued report has no script, and axe finds nothing in it, for each reader in both lights', async ({
  page,
  context,
  baseURL,
}) => {
  await putCopy(page, 'heron-court', 'out-axe');
  const stated = { reason: '', limits: 'to look at it' };
  expect((await page.request.post('/api/jobs/out-axe/issued', { data: stated })).status()).toBe(
    201,
  );
  const made = await page.request.post('/api/jobs/out-axe/shares', {
    data: { label: '', days: 1 },
  });
  const { path } = (await made.json()) as { path: string };
  for (const light of LIGHTS) {
    await context.addCookies([{ name: 'light', value: light, url: baseURL! }]);
    for (const url of [
      path,
      '/jobs/out-axe/issued/1',
      '/jobs/out-axe/issued/1?reader=agent',
      '/jobs/out-axe/issued/1?reader=contractor',
    ]) {
      await page.goto(url);
      expect(await page.locator('script').count()).toBe(0);
      await expectAccessible(page, light);
    }
  }
});

test('a report is sent into the outbox, with its PDF and calendar to look at', async ({ page }) => {
  await open(page, 'out-send');
  await issueNow(page, 'out-send');
  await page.reload();
  const send = page.getByRole('region', { name: 'Send', exact: true });
  await send.getByLabel('To', { exact: true }).fill('nobody');
  await send.getByRole('button', { name: 'Send it' }).click();
  await expect(send.getByRole('alert')).toContainText('expected an address');
  await send.getByLabel('To', { exact: true }).fill('buyer@place.example');
  await send.getByRole('button', { name: 'Send it' }).click();
  await expect(send.getByRole('status')).toContainText('Sent');
  await send.getByRole('link', { name: 'Outbox' }).click();
  const message = page.getByRole('article').first();
  await expect(message).toContainText('To buyer@place.example');
  await expect(message).toContainText('Repair two spots before you close');
  const href = await message.getByRole('link', { name: 'buyer.pdf' }).getAttribute('href');
  expect((await (await page.request.get(href!)).body()).subarray(0, 5).toString()).toBe('%PDF-');
});
