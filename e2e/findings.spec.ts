import { expect, type Page } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { fileOnServer, openMiscalled } from './copies';
import { callOut, expectSaved, loggedOnServer } from './scope';
import { test } from './test';

const row = (page: Page, name: RegExp) => page.locator('main li button').filter({ hasText: name });
const detail = (page: Page) => page.getByRole('article');

test('correcting a wrong material re-judges what rested on it, and says all that changed', async ({
  page,
}) => {
  await openMiscalled(page, 'find-pipe');
  await row(page, /Deformation at 32\.8/).click();
  await expect(detail(page)).toContainText('moderate · watch it');
  await page.getByRole('button', { name: 'Correct the pipe' }).click();
  await page.getByLabel('Material').selectOption('bituminous-fiber');
  await page.getByRole('button', { name: 'Log the correction' }).click();

  const changed = page.getByRole('status', { name: 'What changed' });
  await expect(changed).toContainText('7 things changed after the pipe was corrected.');
  await expect(changed).toContainText(
    'Finding 6, deformation at 20.8 ft: ABS → bituminous fiber, watch it → repair.',
  );
  await expect(changed).toContainText(
    'Finding 4, deformation at 32.8 ft: ABS → bituminous fiber, watch it → repair.',
  );
  await expect(changed).toContainText(/Finding 3, hole at 36\.9 ft: ABS → bituminous fiber/);
  await expect(changed).toContainText(/Finding 101, material at .* ft: new\./);
  await expect(detail(page)).toContainText('moderate · repair');
  await expect(detail(page)).toContainText('Let nobody put a cutter or high pressure in it.');
  await expectSaved(page);

  // The log keeps the wrong call, replaced: nothing is edited.
  const pipes = (await loggedOnServer(page, 'find-pipe')).filter(({ kind }) => kind === 'material');
  expect(pipes.map(({ material }) => material)).toEqual([
    'cast-iron',
    'abs',
    'pvc',
    'bituminous-fiber',
  ]);
  await page.goto('/jobs/find-pipe/report');
  await expect(page.locator('article')).toContainText('tar-paper fiber');
});

test('an override with its reason survives a reload, and is stale once the evidence has changed', async ({
  page,
}) => {
  await openMiscalled(page, 'find-word');
  await row(page, /Hole at 36\.9/).click();
  await page.getByLabel('Grade').selectOption('failed');
  await page.getByRole('button', { name: 'Save override' }).click();
  await expect(page.getByRole('alert')).toContainText('Say why');
  await page.getByLabel('Reason').fill('the void behind it is large');
  await page.getByRole('button', { name: 'Save override' }).click();
  await expect(detail(page)).toContainText('failed · repair');
  await expect(page.getByRole('status', { name: 'What changed' })).toContainText('major → failed');
  await expectSaved(page);

  await page.reload();
  await expect(row(page, /Hole at 36\.9/)).toContainText('your word');
  await row(page, /Hole at 36\.9/).click();
  await expect(detail(page)).toContainText(
    'Your word stands: “the void behind it is large”. Chert has major',
  );

  await page.goto('/jobs/find-word/scope');
  await callOut(page, 'correct 37 hole invert missing');
  await expectSaved(page);
  await page.goto('/jobs/find-word/findings');
  await expect(row(page, /Hole at 36\.9/)).toContainText('your word is stale');
  await row(page, /Hole at 36\.9/).click();
  const stale = page.getByRole('note', { name: 'Your word is stale' });
  await expect(stale).toContainText('was form: displaced');
  await stale.getByRole('button', { name: 'Let it go' }).click();
  await expect(stale).toHaveCount(0);
  await expectSaved(page);
  expect((await fileOnServer(page, 'find-word')).decisions).toEqual([]);
});

test('findings are gone through by keys alone: down, grade, confirm, next open', async ({
  page,
}) => {
  await openMiscalled(page, 'find-keys');
  await expect(detail(page)).toContainText('Deformation at 20.8 ft');
  await page.keyboard.press('ArrowDown');
  await expect(detail(page)).toContainText('Grease 26.8 to 28.8 ft');
  await page.keyboard.press('c');
  await expect(detail(page)).toContainText('confirmed');
  await page.keyboard.press('n');
  await expect(detail(page)).toContainText('Deformation at 32.8 ft');
  await page.keyboard.press('3');
  await expect(page.getByLabel('Reason')).toBeFocused();
  await page.keyboard.type('the hump catches paper');
  await page.keyboard.press('Enter');
  await expect(detail(page)).toContainText('major · watch it');
  await page.getByLabel('Reason').blur();
  await page.keyboard.press('?');
  await expect(page.getByText('on to the next open one')).toBeVisible();
  await expect(page.getByText('5 of 6 wait for you to look.')).toBeVisible();
});

test('a finding is dismissed with a reason, opened again, parted and joined', async ({ page }) => {
  await openMiscalled(page, 'find-same', (file) => {
    const entries = file.runs[0]!.entries;
    const hole = entries.find(({ defect }) => defect === 'hole')!;
    entries.push({
      ...hole,
      id: 'again',
      pass: 'out',
      at: '2026-11-04T09:20:00-08:00',
      readingFt: 37.4,
    });
  });
  await row(page, /Hole at 36\.9/).click();
  await page.getByRole('button', { name: 'Dismiss…' }).click();
  await page.getByLabel('Why is it no finding?').fill('a shadow');
  await page.getByRole('button', { name: 'Dismiss it' }).click();
  await expect(detail(page)).toContainText(
    'No action, because the inspector dismissed it: a shadow.',
  );
  await page.getByRole('button', { name: 'Reopen' }).click();
  await expect(detail(page)).toContainText('major · repair');

  await page.getByText('One thing or two?').click();
  await page.getByRole('button', { name: 'They are not one thing: part them' }).click();
  await expect(row(page, /^\d+Hole at/)).toHaveCount(2);
  await row(page, /Hole at 37\.\d/)
    .last()
    .click();
  await page.getByText('One thing or two?').click();
  await expect(page.getByLabel('The same thing as')).toContainText('Hole at 36.9');
  await expectSaved(page);
});

test('the other profile is shown beside this one, and taken over with one press', async ({
  page,
}) => {
  await openMiscalled(page, 'find-profile');
  const parts = page.getByRole('region', { name: 'Judged by' });
  await expect(parts.getByRole('row', { name: /4, deformation/ })).toContainText(
    /watch it.*repair/,
  );
  await parts.getByRole('button', { name: /^Renew first/ }).click();
  await expect(page.getByRole('status', { name: 'What changed' })).toContainText(
    'watch it → repair',
  );
  await expectSaved(page);
  expect((await fileOnServer(page, 'find-profile')).job['profile']).toBe('renew-first');
});

test('before you leave: by where you stand, ticked when cleared, left with blockers only for a reason', async ({
  page,
}) => {
  await openMiscalled(
    page,
    'find-leave',
    (file) => {
      const entries = file.runs[0]!.entries;
      file.runs[0]!.entries = entries.filter(({ kind }) => kind !== 'end');
    },
    'scope?view=leave',
  );
  await expect(page.getByRole('heading', { name: 'At a fixture 1' })).toBeVisible();
  await expect(page.getByText('Run the kitchen and watch the tee.', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Leave the site' }).click();
  await expect(page.getByText('Say why: the report states it as a limit.')).toBeVisible();
  await page.getByLabel('Why leave with one point open?').fill('the owner had to go');
  await page.getByRole('button', { name: 'Leave the site' }).click();
  await expect(
    page.getByText(/You left the site at \d+:\d\d [ap]m with open points/),
  ).toBeVisible();
  await expectSaved(page);
  await page.goto('/jobs/find-leave/report');
  await expect(page.locator('article')).toContainText('The reason given: the owner had to go.');

  await page.goto('/jobs/find-leave/scope?view=leave');
  await callOut(page, 'main, seen 71');
  await expect(page.getByRole('heading', { name: /^Cleared/ })).toBeVisible();
});

test('a run’s set-up is mended on Lateral, and what rested on it turns provisional', async ({
  page,
}) => {
  await openMiscalled(page, 'find-setup', () => undefined, 'lateral');
  await page.getByText('Set-up of R1').click();
  await page.getByLabel('Cleaned before').selectOption('jetted');
  await expectSaved(page);
  await page.goto('/jobs/find-setup/findings');
  await expect(row(page, /Grease/)).toContainText('provisional');
  await row(page, /Grease/).click();
  await expect(detail(page)).toContainText(
    'the line was cleaned before this look, so there was more',
  );
  await page.goto('/jobs/find-setup/report');
  await expect(page.locator('article')).toContainText('jetted clean before this look');
});

test('another utility through the sewer stops everything, on every screen of the job', async ({
  page,
}) => {
  await openMiscalled(page, 'find-stop', (file) => {
    file.runs[0]!.entries.push({
      id: 'gas',
      at: '2026-11-04T09:40:00-08:00',
      pass: 'back',
      readingFt: 12,
      kind: 'defect',
      defect: 'utility-crossing',
    });
  });
  for (const screen of ['site', 'scope', 'lateral', 'findings']) {
    await page.goto(`/jobs/find-stop/${screen}`);
    await expect(page.getByText('Stop and pull back. Do not cut or jet.').first()).toBeVisible();
  }
  await row(page, /Grease/).click();
  await expect(detail(page)).toContainText('Nothing may cut, jet or scrape this line');
});

for (const light of LIGHTS) {
  test(`axe finds nothing on Findings in ${light}, wide and narrow`, async ({
    page,
    context,
    baseURL,
  }) => {
    await context.addCookies([{ name: 'light', value: light, url: baseURL! }]);
    await openMiscalled(page, `find-axe-${light}`);
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 800 });
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(wide).toBeLessThanOrEqual(width);
      await expectAccessible(page, light);
    }
  });
}
