import { AxeBuilder } from '@axe-core/playwright';
import { expect } from '@playwright/test';
import { bookJob, expectSaved, loggedOnServer, show, tabTo } from './scope';
import { test } from './test';

test('a troubled line from Site to home, by keyboard alone', async ({ page }) => {
  const id = await bookJob(page, '30 Flint Row');
  await page.goto(`/jobs/${id}/site`);
  await expect(page.getByRole('heading', { name: 'Access point A' })).toBeVisible();
  const type = async (label: string, text: string) => {
    await tabTo(page, label);
    await page.keyboard.type(text);
  };
  // A stuck cleanout, refused; a vent that is left; a second cleanout that is used.
  await type('Where, in a few words', 'by the steps');
  await page.keyboard.press('Enter');
  await tabTo(page, 'Refuse A');
  await page.keyboard.press('Enter');
  await type('Why not A? It becomes advice.', 'cap stuck');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Refused: cap stuck', { exact: false })).toBeVisible();
  await tabTo(page, 'Add an access point');
  await page.keyboard.press('Enter');
  await type('Where, in a few words', 'side yard');
  await page.keyboard.press('Enter');
  await type('Where', 'street tree');
  await page.keyboard.press('Enter');
  await expectSaved(page);
  await tabTo(page, 'Scope from B');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/scope\?access=[0-9A-Z]{26}/);
  await expect(page.getByLabel('Access point').locator('option:checked')).toContainText('B:');
  await tabTo(page, 'Start this run');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  const say = async (text: string) => {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Call out what you see')).toHaveValue('');
  };
  for (const text of ['water on', '0 cast iron 4 in', 'wall 6 ft', '18 clay 6 in', 'driveway 30'])
    await say(text);
  for (let step = 0; step < 12; step += 1) await page.keyboard.press('PageUp');
  await page.keyboard.press('F9');
  for (const text of [
    'standing water from 46',
    'standing water to 52',
    'property line 61',
    'pvc 66 ft 6 in lip 0.4 in',
    'main 88, seen',
  ])
    await say(text);
  for (const text of [
    'water off',
    'drained',
    'roots 42 10 to 2 60% in the barrel',
    'standing water 52 to 46 40%',
  ])
    await say(text);
  // Two meanings: asked, and answered with a key.
  await page.keyboard.type('infiltration drip at 10');
  await expect(page.getByRole('group', { name: 'Which is it?' })).toBeVisible();
  await page.keyboard.press('Alt+2');
  await say('correct 18 asbestos cement');
  await say(`locate 4'1" white x 6 ft from garage, 9 ft from light pole`);
  await page.keyboard.press('Alt+v');
  await expect(page.getByRole('region', { name: 'Log of run R1' })).toBeVisible();
  await say('flush hall toilet clears');
  await say('drained');
  await say('home 0.4');
  await expectSaved(page);
  const entries = await loggedOnServer(page, id);
  expect(entries.filter(({ kind }) => kind === 'flag')).toHaveLength(1);
  expect(entries.find(({ defect }) => defect === 'roots')).toMatchObject({
    readingFt: 42,
    pass: 'back',
    replaces: expect.any(String),
  });
  expect(entries.find(({ defect }) => defect === 'infiltration')).toMatchObject({
    clockFrom: 10,
    form: 'drip',
  });
  await tabTo(page, 'Report');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('before you close');
});

test.describe('a tablet', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('a whole scope by touch alone', async ({ page }) => {
    const id = await bookJob(page, '31 Flint Row');
    await page.getByRole('button', { name: 'Start this run' }).tap();
    const words = page.getByRole('region', { name: 'Call-out line' });
    const tap = async (...names: string[]) => {
      for (const name of names) await words.getByRole('button', { name, exact: true }).tap();
    };
    const counter = async (name: string, times: number) => {
      for (let index = 0; index < times; index += 1) await tap(name);
    };
    const log = async () => {
      await tap('Log');
      await expect(page.getByLabel('Call out what you see')).toHaveValue('');
    };
    await tap('Pipe', 'Iron', 'Size', '4 in');
    await log();
    await counter('+5', 4);
    await tap('Pipe', 'Clay', 'Size', '6 in');
    await log();
    await counter('+5', 3);
    await tap('Flag');
    await counter('+5', 3);
    await tap('Above', 'Driveway');
    await log();
    await counter('+5', 4);
    await tap('Parts', 'Property line');
    await log();
    await counter('+5', 2);
    await counter('Counter up one foot', 3);
    await tap('Run', 'Main, seen');
    await log();
    const state = page.getByRole('region', { name: 'State of the run' });
    await state.getByText('Drained', { exact: true }).tap();
    await counter('−5', 9);
    await tap('Seen', 'Roots', '50%', 'in barrel');
    await log();
    await tap('Seen', 'Crack', 'hairline', '123', '3', '1', '.', '5', 'ft');
    await expect(page.getByLabel('Call out what you see')).toHaveValue('crack hairline 31.5 ft ');
    await log();
    // A wrong one is taken back from the tape, and the taking back undone from the list.
    const tape = page.getByRole('region', { name: 'Tape of run R1' });
    await tape.getByRole('button', { name: /^Crack/ }).tap();
    await tape.getByRole('button', { name: 'Take back Crack' }).tap();
    await expect(tape.getByRole('button', { name: /^Crack/ })).toHaveCount(0);
    await show(page, 'List');
    await page.getByRole('button', { name: 'Undo' }).tap();
    await tap('Run', 'Home', '123', '0');
    await log();
    await expectSaved(page);
    const kinds = (await loggedOnServer(page, id)).map((entry) => [
      entry['kind'],
      entry['readingFt'],
    ]);
    expect(kinds.slice(0, 8)).toEqual([
      ['material', 0],
      ['material', 20],
      ['flag', 35],
      ['zone', 50],
      ['feature', 70],
      ['end', 83],
      ['water', 83],
      ['defect', 38],
    ]);
    expect(kinds.at(-1)).toEqual(['home', 0]);
  });
});

for (const size of [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
]) {
  test(`every target is 44 px or more at ${size.width} px`, async ({ page }) => {
    await page.setViewportSize(size);
    for (const path of ['/jobs/demo-alder-bend/scope', '/jobs/demo-alder-bend/site']) {
      await page.goto(path);
      const small = await page.evaluate(() =>
        [
          ...document.querySelectorAll<HTMLElement>(
            'button, select, summary, a, input:not([type=hidden])',
          ),
        ]
          .filter(
            (element) =>
              element.checkVisibility() &&
              !element.closest('.hidden-visually') &&
              !element.classList.contains('hidden-visually') &&
              !element.closest('p'),
          )
          .map((element) => {
            // A radio is pressed by its label.
            const target = element.matches('[type=radio], [type=checkbox]')
              ? element.closest('label')!
              : element;
            const { width, height } = target.getBoundingClientRect();
            return {
              name: element.getAttribute('aria-label') ?? element.textContent,
              width: Math.round(width),
              height: Math.round(height),
            };
          })
          .filter(({ width, height }) => Math.min(width, height) < 44),
      );
      expect([path, small]).toEqual([path, []]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        size.width,
      );
    }
  });
}

for (const light of ['daylight', 'crawlspace']) {
  test(`words on Scope stand out 7:1 in ${light}`, async ({ page, context, baseURL }) => {
    await context.addCookies([{ name: 'light', value: light, url: baseURL! }]);
    await page.goto('/jobs/demo-alder-bend/scope');
    await expect(page.getByLabel('Call out what you see')).toBeFocused();
    const { violations } = await new AxeBuilder({ page })
      .withRules(['color-contrast-enhanced'])
      .exclude('svg')
      .analyze();
    expect(
      violations.flatMap(({ nodes }) => nodes.map(({ target, any }) => [target, any[0]?.message])),
    ).toEqual([]);
  });
}

test('a flag takes a few spoken words along, and a locate its position', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    ...(baseURL ? { baseURL } : {}),
    permissions: ['microphone', 'geolocation'],
    geolocation: { latitude: 45.5, longitude: -122.6, accuracy: 4 },
  });
  const page = await context.newPage();
  const id = await bookJob(page, '32 Flint Row');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await page.getByRole('button', { name: /Voice with flags off/ }).click();
  await page.getByRole('button', { name: /Position with locates off/ }).click();
  await page.getByRole('button', { name: 'Flag', exact: true }).click();
  await page.waitForTimeout(800);
  await page.getByRole('button', { name: 'Stop the voice' }).click();
  await page.getByLabel('Call out what you see').fill('locate 4 ft 6 in, 9 ft from porch');
  await page.keyboard.press('Enter');
  await expect(async () => {
    const entries = await loggedOnServer(page, id);
    expect(entries.some(({ kind, audioId }) => kind === 'flag' && audioId !== undefined)).toBe(
      true,
    );
    expect(entries.some(({ position }) => position !== undefined)).toBe(true);
  }).toPass();
  await expectSaved(page);
  const voice = (await loggedOnServer(page, id)).find(({ audioId }) => audioId !== undefined)!;
  const sound = await page.request.get(`/api/jobs/${id}/media/${String(voice['audioId'])}`);
  expect(sound.headers()['content-type']).toMatch(/^audio\//);
  await context.close();
});
