import { expect } from '@playwright/test';
import { bookJob, callOut, expectSaved, show, startRun } from './scope';
import { test } from './test';

const CALLOUTS = [
  'water on',
  '0 cast iron 4 in',
  '9 abs 4 in coupling',
  '27 clay 6 in',
  'driveway 38',
  'property line 64',
  'main 92, seen',
  'water off',
  'roots 57 10 to 2 60% in the barrel',
  'offset 35.5 0.4 in',
  'gap 31 half an inch',
  'hairline crack 12 ft',
  'home 0.4',
];

test('book, access, run, a dozen call-outs, report', async ({ page }) => {
  await bookJob(page, '5 Flint Row');
  await startRun(page);
  for (const text of CALLOUTS) await callOut(page, text);
  // A belly of 8 ft at 40% of the pipe: seen after the line had drained.
  await callOut(page, 'drained');
  await callOut(page, 'standing water 51 to 43 40%');
  await expectSaved(page);

  const tape = page.getByRole('region', { name: 'Tape of run R1' });
  await expect(tape.getByText('Standing water')).toBeVisible();
  await show(page, 'List');
  const log = page.getByRole('region', { name: 'Log of run R1' });
  await expect(log.getByRole('listitem')).toHaveCount(15);
  await show(page, 'Findings');
  const findings = page.getByRole('region', { name: /^So far/ });
  await expect(findings.getByRole('heading')).toHaveText('So far: repair needed');
  await findings.getByRole('button', { name: /Standing water/ }).click();
  await expect(findings.getByText('standing water 40% of the pipe: major')).toBeVisible();

  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Repair two spots before you close. All 92 feet from A were seen, but for the bottom of 8 feet under water.',
  );
  // Homecoming: (43 + 51) on the way back lose 0.4 ft × (92 + 49)/183.6 and × (92 + 41)/183.6.
  const belly = page.locator('section').filter({ hasText: 'Low stretch that holds water' });
  await expect(belly).toContainText('43 to 51 ft, under the driveway');
  await expect(belly).toContainText(
    'fills 40% of the pipe, over 8 feet, after the line had drained',
  );
  await expect(belly).toContainText('Major · repair');
  await expect(page.getByText('Roots at 57 ft')).toBeVisible();
  await expect(page.getByRole('cell', { name: '6 in clay' }).first()).toBeVisible();
  await expect(page.getByText('Your inspection period ends Thu 12 Nov')).toBeVisible();
  await expect(page.getByText('by Fri 6 Nov')).toBeVisible();
});

test('the chip says what was understood, graded, and what is missing', async ({ page }) => {
  await bookJob(page, '6 Flint Row');
  await startRun(page);
  await callOut(page, '0 clay 4 in');
  const line = page.getByLabel('Call out what you see');
  const chip = page.locator('#chip');
  await line.fill('roots 30 2 to 11 60% in the barrel');
  await expect(chip).toContainText('Roots, failed');
  await expect(chip).toContainText('2 to 11');
  await expect(chip.locator('svg')).toBeVisible();
  await line.fill('roots 30');
  await expect(chip).toContainText('still wanted: how much of the pipe');
  await line.fill('wobbly thingummy');
  await expect(chip).toContainText('Kept as a flag');
  // What the log would not take stays on the line, and the chip says what it wants.
  await line.fill('retract 99');
  await line.press('Enter');
  await expect(line).toHaveValue('retract 99');
  await expect(chip).toContainText('Wanted: a footage at which something is logged');
});

test('corrections stay visible, retractions can be undone', async ({ page }) => {
  await bookJob(page, '7 Flint Row');
  await startRun(page);
  await callOut(page, '0 concrete 4 in');
  await callOut(page, 'correct 0 asbestos cement');
  await show(page, 'List');
  const log = page.getByRole('region', { name: 'Log of run R1' });
  await expect(log.getByText('4 in asbestos cement beyond')).toBeVisible();
  await expect(log.locator('s')).toHaveText('0.0 4 in concrete beyond');
  await log.getByRole('button', { name: 'Take back 4 in asbestos cement beyond' }).click();
  await expect(log.getByText('taken back')).toBeVisible();
  await log.getByRole('button', { name: 'Undo' }).click();
  await expect(log.getByText('taken back')).toHaveCount(0);
  await expectSaved(page);
  await page.reload();
  await show(page, 'List');
  await expect(log.locator('s')).toHaveText('0.0 4 in concrete beyond');
});

test('works by keyboard alone, and a half-typed line survives a reload', async ({ page }) => {
  await bookJob(page, '8 Flint Row');
  await startRun(page);
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  await page.keyboard.type('0 pvc 4 in');
  await page.keyboard.press('Enter');
  for (let step = 0; step < 12; step += 1) await page.keyboard.press('PageUp');
  await page.keyboard.press('Shift+PageUp');
  await expect(page.getByLabel('Counter, ft')).toHaveValue('12.1');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('region', { name: 'State of the run' })).toContainText(
    'A flag at run R1 at 12.1 ft is not settled',
  );
  await page.keyboard.type('roots at joint 10%');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'State of the run' })).not.toContainText(
    'flag at run',
  );
  await page.keyboard.type('crack hair');
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('Call out what you see')).toHaveValue('crack hair');
  await expect(page.getByLabel('Counter, ft')).toHaveValue('12.1');
});

test('what was logged while the server was away is kept, sent later, stored once and in order', async ({
  page,
  context,
}) => {
  const id = await bookJob(page, '9 Flint Row');
  await startRun(page);
  await callOut(page, '0 pvc 4 in');
  await expectSaved(page);
  await context.route('**/entries', (route) => route.abort());
  for (const foot of [10, 20, 30]) await callOut(page, `tee ${foot} ft`);
  await expect(page.getByRole('status').filter({ hasText: '3 to send' })).toBeVisible();
  await page.reload();
  await expect(
    page.getByRole('region', { name: 'Tape of run R1' }).getByText('to send'),
  ).toHaveCount(3);
  await context.unroute('**/entries');
  await expectSaved(page);
  const file = (await (await page.request.get(`/api/jobs/${id}/file`)).json()) as {
    runs: { entries: { readingFt: number }[] }[];
  };
  expect(file.runs[0]!.entries.map(({ readingFt }) => readingFt)).toEqual([0, 10, 20, 30]);
});

test('touch: word buttons build the line at phone width', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await page.goto('/jobs/demo-alder-bend/scope');
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  await page.getByRole('button', { name: 'Crack', exact: true }).tap();
  // After a thing its sizes follow.
  await page.getByRole('button', { name: 'hairline', exact: true }).tap();
  await expect(page.getByLabel('Call out what you see')).toHaveValue('crack hairline ');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await context.close();
});

test('a second run, upstream from the same access with its zero at the rim, joins the line', async ({
  page,
}) => {
  await bookJob(page, '10 Flint Row');
  await startRun(page);
  for (const text of ['0 pvc 4 in', 'main 40, seen', 'home 0']) await callOut(page, text);
  await page.getByRole('button', { name: 'New run' }).click();
  await page.getByLabel('Facing').selectOption('upstream');
  await page.getByLabel('Counter is zeroed at').selectOption('rim');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Drop below the rim: expected a number, got nothing.',
  );
  await page.getByLabel('Drop below the rim, ft').fill('3');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await callOut(page, '3 cast iron 4 in');
  await callOut(page, 'roots 13 20% 2 to 5');
  await callOut(page, 'not reached 23, trap, 5 ft left');
  await expectSaved(page);
  await show(page, 'Findings');
  const findings = page.getByRole('region', { name: /^So far/ });
  await expect(findings.getByRole('button', { name: /Roots at -10/ })).toBeVisible();
  await expect(findings).toContainText('60 ft');
  await page.getByLabel('Run shown').selectOption({ label: 'R1: A, downstream' });
  await show(page, 'Tape');
  await expect(page.getByRole('region', { name: 'Tape of run R1' })).toContainText('Main reached');
  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.getByText('Roots at 10 ft upstream of A')).toBeVisible();
});

test('the Section zooms by keys, by drag and by buttons, and a finding chosen there is chosen in the list', async ({
  page,
}) => {
  await page.goto('/jobs/demo-alder-bend/scope');
  const drawing = page.getByRole('group', { name: /^Drawing/ });
  const labels = () => drawing.locator('svg text').allTextContents();
  await expect.poll(labels).toContain('90');
  // The line takes the focus when the screen has come alive.
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  await drawing.focus();
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect.poll(labels).not.toContain('90');
  await page.keyboard.press('0');
  await expect.poll(labels).toContain('90');
  const box = (await drawing.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.4, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.6, box.y + 60, { steps: 4 });
  await page.mouse.up();
  await expect.poll(labels).not.toContain('90');
  await page.getByRole('button', { name: 'Show the whole line' }).click();
  await expect.poll(labels).toContain('90');
  await drawing
    .locator('svg text', { hasText: /^3$/ })
    .locator('xpath=preceding-sibling::*[1]')
    .click();
  await show(page, 'Findings');
  await expect(page.getByRole('button', { name: /Roots at 56.8/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByText('roots fill 60% of the pipe: failed')).toBeVisible();
});

test('water buttons log, and the state of the run follows', async ({ page }) => {
  await bookJob(page, '11 Flint Row');
  await startRun(page);
  await callOut(page, '0 clay 4 in');
  const state = page.getByRole('region', { name: 'State of the run' });
  await state.getByLabel('On', { exact: true }).check({ force: true });
  await callOut(page, 'standing water 10 to 14 40%');
  await expect(state).toContainText('was seen while water was running');
  await state.getByLabel('Drained').check({ force: true });
  await state.getByLabel('Back').check({ force: true });
  await callOut(page, 'standing water 14 to 10 40%');
  await expect(state).not.toContainText('was seen while water was running');
  await expect(state).toContainText('4 in clay');
});

test('an entry that the server refuses is shown with its reason and can be taken out', async ({
  page,
}) => {
  await bookJob(page, '12 Flint Row');
  await startRun(page);
  const { chert: stamp } = (await (await page.request.get('/api/health')).json()) as {
    chert: unknown;
  };
  await page.route('**/entries', (route) =>
    route.fulfill({
      status: 400,
      contentType: 'application/json',
      body: JSON.stringify({
        chert: stamp,
        error: {
          code: 'bad-input',
          message: 'No.',
          faults: [{ path: 'entries[0].note', expected: 'text', got: '7' }],
        },
      }),
    }),
  );
  await callOut(page, 'tee 10 ft');
  await expect(page.getByRole('alert')).toContainText(
    'Tee was not stored: entries[0].note: expected text, got 7',
  );
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Tape of run R1' }).getByText('Tee')).toHaveCount(
    0,
  );
});
