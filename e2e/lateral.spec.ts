import { expect, type Page } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { fileOnServer, type InspectionJson, openCopyOf } from './copies';
import { expectSaved } from './scope';
import { test } from './test';

/** A copy of the demo job with the wrong tie, of this test's own. */
const openCopy = (page: Page, id: string, change?: (file: InspectionJson) => void) =>
  openCopyOf(page, 'tern-street', id, 'lateral', change);

const reportPlace = async (page: Page, id: string) => {
  await page.goto(`/jobs/${id}/report`);
  return (
    (await page
      .getByText(/broken/i)
      .locator('xpath=ancestor::*[self::li or self::section][1]')
      .first()
      .textContent()) ?? ''
  );
};
const tiesOnServer = async (page: Page, id: string) => (await fileOnServer(page, id)).ties;
const lane = (page: Page, run: string) =>
  page.getByRole('button', { name: new RegExp(`^Run ${run} `) });

/** The middle of a thing on a lane, by what the pointer is told over it. */
async function spotOf(page: Page, title: string) {
  const box = await page.evaluate((wanted) => {
    const found = [...document.querySelectorAll('title')].find(
      ({ textContent }) => textContent === wanted,
    );
    const { x, y, width, height } = found!.parentElement!.getBoundingClientRect();
    return { x: x + width / 2, y: y + height / 2 };
  }, title);
  return box;
}

test('two runs disagree until the wrong tie is dropped, and the report’s footage changes', async ({
  page,
}) => {
  await openCopy(page, 'lat-drop');
  expect(await reportPlace(page, 'lat-drop')).toMatch(/\b47 ft\b|46\.8/);
  await page.goto('/jobs/lat-drop/lateral');
  await expect(page.getByText('Tie T2 (bath tee) does not fit')).toHaveCount(2);
  await page.getByRole('button', { name: 'Drop T2' }).click();
  await expect(page.getByText('T2 dropped.')).toBeVisible();
  await expect(page.getByText('does not fit')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^T1 kitchen tee/ })).toContainText('37.8 ± 0.7');
  await expect(page.getByRole('button', { name: /^T1 kitchen tee/ })).toContainText(
    'was 35.7 ± 0.6',
  );
  await expectSaved(page);
  expect(await reportPlace(page, 'lat-drop')).toMatch(/\b51 ft\b|50\.8/);

  await page.goto('/jobs/lat-drop/lateral');
  await page.getByRole('button', { name: 'Drop T1' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('T1 is back.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^T1 kitchen tee/ })).toContainText('37.8 ± 0.7');
});

test('what would make a tie fit is done with one press, and stays after a reload', async ({
  page,
}) => {
  await openCopy(page, 'lat-remedy');
  await expect(
    page.getByText('R1 has another tee at 26.0 ft; that may be the one.').first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Tie that one' }).click();
  await expect(page.getByText('does not fit')).toHaveCount(0);
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^T2 bath tee/ })).toContainText('R1 26.0');
  await expect(page.getByText('does not fit')).toHaveCount(0);
});

test('ties are typed, dragged and made by keys alone', async ({ page }) => {
  await openCopy(page, 'lat-ties', (file) => {
    file.ties = [];
  });
  await expect(page.getByText('R2 from B, not joined')).toBeVisible();
  const line = page.getByLabel('One thing that two runs saw, or a tape');
  await line.fill('R1 26');
  await line.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Say a run and its footage twice');
  await line.fill('R1 26 = R2 46.2, laundry tee');
  await line.press('Enter');
  await expect(page.getByRole('button', { name: /^T1 laundry tee/ })).toContainText(
    'nothing checks it',
  );
  await expect(page.getByText('R2 from B, not joined')).toHaveCount(0);

  // By drag, from one run to the other.
  const from = await spotOf(page, 'Tee, 40.0 ft on R1, on the way back');
  const to = await spotOf(page, 'Tee, 32.3 ft on R2, on the way back');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^T2 Tee/ })).toContainText('R1 40.0');

  // By keys: walk R1's lane to its offset, pick it up, walk R2's to its own.
  const walk = async (run: string, thing: RegExp) => {
    await lane(page, run).focus();
    for (let step = 0; step < 20; step += 1) {
      if (thing.test((await lane(page, run).getAttribute('aria-label')) ?? '')) return;
      await page.keyboard.press('ArrowRight');
    }
    throw new Error(`${run} has no ${String(thing)}`);
  };
  await walk('R1', /Offset at 45\.0/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Offset on R1 picked up')).toBeVisible();
  await walk('R2', /Offset at 27\.2/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^T3 Offset/ })).toContainText('fits');

  // Dragging along the lane moves a tie to another thing of that run.
  const wrong = await spotOf(page, 'Tee, 26.0 ft on R1, on the way back');
  const start = await spotOf(page, 'Tee, 40.0 ft on R1, on the way back');
  await page.getByRole('button', { name: 'Drop T1' }).click();
  await page.mouse.move(start.x, start.y);
  await page.mouse.down();
  await page.mouse.move(wrong.x, wrong.y, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText('T2 moved.')).toBeVisible();
  await expectSaved(page);
  expect((await tiesOnServer(page, 'lat-ties')).map(({ id }) => id)).toEqual(['T2', 'T3']);
});

test('a tape between accesses joins runs that saw nothing in common', async ({ page }) => {
  await openCopy(page, 'lat-tape', (file) => {
    file.ties = [];
  });
  const line = page.getByLabel('One thing that two runs saw, or a tape');
  await line.fill('A to B 66.2');
  await line.press('Enter');
  await expect(page.getByRole('list', { name: 'Tapes' })).toContainText(
    'B lies downstream of A, taped',
  );
  await expect(page.getByRole('row', { name: /^R2/ })).toContainText('66.2 ± 1.2');
  await page.getByRole('button', { name: 'Drop the tape from A to B' }).click();
  await expect(page.getByRole('row', { name: /^R2/ })).toContainText('not joined');
});

test('what lines up is offered, and is tied or refused for good', async ({ page }) => {
  await openCopy(page, 'lat-offer', (file) => {
    file.ties = file.ties.filter(({ id }) => id === 'T1');
  });
  const offers = page.getByRole('region', { name: /These line up/ });
  await expect(offers).toContainText('R1 26.0 and R2 46.2');
  await offers.getByRole('button', { name: 'Not the same' }).first().click();
  await expect(offers).toHaveCount(0);
  await expectSaved(page);
  await page.reload();
  await expect(page.getByText('These line up')).toHaveCount(0);
});

test('the ruler answers what is at a station, and a pipe’s usual life can be changed', async ({
  page,
}) => {
  await openCopy(page, 'lat-ruler');
  await page.getByRole('button', { name: 'Drop T2' }).click();
  await page.getByRole('textbox', { name: 'What is at' }).fill('43');
  const answer = page.getByRole('region', { name: 'What is at' });
  await expect(answer).toContainText('6 in clay, yard, owner side. Finding 2.');
  await expect(answer).toContainText('R1 45.2 on its counter coming home');
  await expect(answer).toContainText('R3 did not come here.');
  await page.getByText('Usual lives: change them for this job').click();
  await page.getByLabel('clay, to years').fill('40');
  await page.getByLabel('clay, from years').fill('30');
  await page.getByRole('button', { name: 'Set', exact: true }).nth(1).click();
  await expect(page.getByText('41 to 77, 30 to 40 years')).toBeVisible();
  await expect(page.getByText('past its usual life')).toHaveCount(1);
});

test('a check on Scope leads to the tie, and a check here to the entry', async ({ page }) => {
  await openCopy(page, 'lat-go');
  await page.getByRole('link', { name: 'Go there' }).last().click();
  await expect(page).toHaveURL(/\/scope\?run=R2&entry=R2-10/);
  await expect(page.getByRole('banner')).toContainText('from B, facing upstream');
  await page
    .getByRole('group', { name: 'Show' })
    .getByRole('button', { name: /^To do/ })
    .click();
  await page
    .getByRole('link', { name: /Take me there/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/lateral\?run=/);
  await expect(page.getByRole('button', { name: /^T2 bath tee/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a log that takes longer than a frame is computed off the main thread', async ({ page }) => {
  const workers: string[] = [];
  page.on('worker', (worker) => workers.push(worker.url()));
  await openCopy(page, 'lat-long', (file) => {
    const [run] = (file as unknown as { runs: { entries: object[] }[] }).runs;
    const [first] = run!.entries as { at: string }[];
    for (let index = 0; index < 1500; index += 1) {
      run!.entries.push({
        id: `x${index}`,
        at: first!.at,
        pass: 'back',
        readingFt: 3 + (index % 470) / 10,
        kind: 'feature',
        feature: 'bend',
        angleDeg: 11,
      });
    }
  });
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await expect.poll(() => workers.length, { timeout: 20_000 }).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Drop T2' }).click();
  await expect(page.getByRole('button', { name: /^T1 kitchen tee/ })).toContainText('37.8', {
    timeout: 20_000,
  });
});

for (const light of LIGHTS) {
  test(`axe finds nothing on Lateral in ${light}, wide and narrow`, async ({
    page,
    context,
    baseURL,
  }) => {
    await context.addCookies([{ name: 'light', value: light, url: baseURL! }]);
    await openCopy(page, `lat-axe-${light}`);
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 800 });
      await expectAccessible(page, light);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        width,
      );
    }
  });
}
