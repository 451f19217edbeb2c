import { expect } from '@playwright/test';
import { bookJob, callOut, expectSaved, loggedOnServer, show } from './scope';
import { test } from './test';

test('a mid-line indoor start, a bare home, an undrained pool and a correction on the way back claim nothing', async ({
  page,
}) => {
  const id = await bookJob(page, '71 Flint Row');
  await page.getByLabel('Where, in a few words').fill('crawlspace, by the pier');
  await page.getByLabel('Lies in').selectOption('crawlspace');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  for (const text of [
    '0 concrete 4 in',
    'standing water 50 to 54 full',
    'main 60, seen',
    'correct 0 asbestos cement',
    'home no reading',
  ])
    await callOut(page, text);
  await expectSaved(page);

  // A bare home took no reading from the counter, and the correction kept side and pass.
  const entries = await loggedOnServer(page, id);
  expect(entries.find(({ kind }) => kind === 'home')).toMatchObject({ readingFt: null });
  const corrected = { material: 'asbestos-cement', side: 'far', pass: 'out', diameterIn: 4 };
  expect(entries.find(({ replaces }) => replaces !== undefined)).toMatchObject(corrected);

  // What is open is named, and one press says what nobody can see: what water ran.
  await show(page, 'To do');
  await expect(page.getByText('nobody said where the building ends').first()).toBeVisible();
  await expect(page.getByText('nobody said whether water was running').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'No water was running then' })).toBeVisible();

  // Where the access lies along the line is said on Site.
  await page.goto(`/jobs/${id}/site`);
  await page.getByRole('button', { name: 'Change A' }).click();
  await page.getByLabel('On the line').selectOption('along');
  await page.getByRole('button', { name: 'Save this access point' }).click();
  await expectSaved(page);

  await page.goto(`/jobs/${id}/report`);
  const sheet = page.locator('main');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Have it looked at again before you decide.',
  );
  await expect(sheet).toContainText('50 to 54 ft');
  await expect(sheet).toContainText('nobody said whether water was running');
  await expect(sheet).toContainText('the pipe between the house and A was not seen');
  await expect(sheet).toContainText('nobody said where the building ends');
  await expect(sheet).toContainText(
    'It must never be cut, ground or burst without licensed abatement.',
  );
  for (const claim of [
    'had drained',
    'No work is needed',
    'All 60 feet',
    'Told as a courtesy',
    'no standing water',
    'Nothing to do now',
    'not known',
  ])
    await expect(sheet).not.toContainText(claim);

  // One press says that none ran: the pool is graded, and the report says how it was seen.
  await page.goto(`/jobs/${id}/scope?view=leave`);
  await page.getByRole('button', { name: 'No water was running then' }).click();
  await expect(page.getByRole('button', { name: 'No water was running then' })).toHaveCount(0);
  await expectSaved(page);
  await page.goto(`/jobs/${id}/report`);
  await expect(sheet).toContainText('with no water running');
  await expect(sheet).not.toContainText('had drained');
});
