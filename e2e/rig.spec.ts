import { expect, type Page } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { CHROMIUM_WITH_GL } from './chromium';
import { counter, holdUntil, openRig, picture, practise } from './rig';
import { bookJob, callOut, expectSaved, loggedOnServer, startRun, tabTo } from './scope';
import { test } from './test';

test.use({ launchOptions: CHROMIUM_WITH_GL });

/** How many different colours the rig's picture has, from a still of the element. */
async function coloursShown(page: Page): Promise<number> {
  const shot = (await picture(page).screenshot()).toString('base64');
  return page.evaluate(async (data) => {
    const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
    const bitmap = await createImageBitmap(new Blob([bytes], { type: 'image/png' }));
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d')!;
    context.drawImage(bitmap, 0, 0);
    const { data: pixels } = context.getImageData(0, 0, bitmap.width, bitmap.height);
    const seen = new Set<number>();
    for (let at = 0; at < pixels.length; at += 4 * 7) {
      seen.add(((pixels[at]! >> 3) << 10) | ((pixels[at + 1]! >> 3) << 5) | (pixels[at + 2]! >> 3));
    }
    return seen.size;
  }, shot);
}

test('a whole line with the rig, by keyboard alone: out to the main and home', async ({ page }) => {
  test.setTimeout(300_000);
  const id = await practise(page, '8 Fern Row');
  const line = page.getByLabel('Call out what you see');
  await tabTo(page, 'Start this run');
  await page.keyboard.press('Enter');
  await expect(line).toBeFocused();
  await tabTo(page, 'Simulated rig');
  await page.keyboard.press('Enter');
  await expect(picture(page).locator('canvas')).toBeVisible({ timeout: 30_000 });
  await tabTo(page, 'Speed');
  await page.keyboard.press('ArrowDown');
  await tabTo(page, 'Call out what you see');
  const say = async (text: string) => {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await expect(line).toHaveValue('');
  };
  const at = (ft: number) => async () => (await counter(page)) >= ft;
  await page.keyboard.press('Alt+w');
  await say('abs 4 in');
  await holdUntil(page, 'PageUp', at(9));
  await page.keyboard.press('Alt+s');
  await say('pvc 4 in');
  await holdUntil(page, 'PageUp', at(19));
  await say('offset 1/4 in');
  await page.keyboard.press('Alt+s');
  await holdUntil(page, 'PageUp', at(38));
  await say('bend 22 right');
  await say('yard');
  await holdUntil(page, 'PageUp', at(44));
  await say('property line');
  await page.keyboard.press('Alt+l');
  await holdUntil(
    page,
    'PageUp',
    async () => (await page.getByText('as far as the pipe goes').count()) > 0,
  );
  const farFt = await counter(page);
  expect(farFt).toBeGreaterThan(60);
  await say('main, seen');
  await page.keyboard.press('Alt+s');
  await page.keyboard.press('Alt+w');
  for (let minute = 0; minute < 6; minute += 1) await page.keyboard.press('Alt+m');
  await say('drained');
  await holdUntil(page, 'PageDown', async () => (await counter(page)) <= 53);
  await expect(page.getByRole('radio', { name: 'Back' })).toBeChecked();
  await say('debris 5%');
  await page.keyboard.press('Alt+s');
  await page.keyboard.press('Alt+l');
  await holdUntil(page, 'PageDown', async () => (await counter(page)) <= 31);
  await say('flag');
  await say('strip');
  await holdUntil(
    page,
    'PageDown',
    async () => (await page.getByText('The head is at the rim').count()) > 0,
  );
  await say('home');
  await expectSaved(page);

  const entries = await loggedOnServer(page, id);
  const gone = new Set(entries.map(({ replaces }) => replaces));
  const standing = entries.filter((entry) => !gone.has(entry['id'] as string));
  const kinds = standing.map(({ kind }) => kind as string);
  expect(standing.length).toBeGreaterThanOrEqual(12);
  expect(kinds.filter((kind) => kind === 'locate')).toHaveLength(2);
  expect(standing.flatMap(({ photoIds }) => (photoIds as string[] | undefined) ?? [])).toHaveLength(
    4,
  );
  expect(standing.find(({ kind }) => kind === 'water')).toMatchObject({
    state: 'running',
    source: 'kitchen sink',
  });
  expect(standing.find(({ kind }) => kind === 'end')).toMatchObject({
    reason: 'main',
    confirmedBy: 'sight',
    readingFt: farFt,
  });
  // The still taken before the words belongs to what was said next, the one after to what was said before.
  expect(standing.find(({ material }) => material === 'pvc')).toHaveProperty('photoIds');
  expect(standing.find(({ defect }) => defect === 'offset')).toHaveProperty('photoIds');
  const home = standing.find(({ kind }) => kind === 'home')!;
  expect(home['readingFt']).toBeLessThan(2);
  expect(home['pass']).toBe('back');
  const drained = standing.find(({ state }) => state === 'drained')!;
  const draining = standing.find(({ state }) => state === 'draining')!;
  // Six minutes went by in the rig, not at the desk.
  expect(
    Date.parse(drained['at'] as string) - Date.parse(draining['at'] as string),
  ).toBeGreaterThan(360_000);
});

test('only the small head passes the foot of the vent; a head that is stopped is not forced', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await practise(page, '3 Steeple View', 'V');
  await page.getByLabel('Counter is zeroed at').selectOption({ label: 'Rim' });
  await page.getByRole('button', { name: 'Start this run' }).click();
  await openRig(page);
  await page.getByLabel('Speed').selectOption('fast');
  const push = page.getByRole('button', { name: 'Push' });
  await push.hover();
  await page.mouse.down();
  const warning = page.getByText('bend, too tight for this head. Do not force it: pull back.');
  await expect(warning).toBeVisible({ timeout: 60_000 });
  const stoppedFt = await counter(page);
  await page.waitForTimeout(700);
  expect(await counter(page)).toBe(stoppedFt);
  await page.mouse.up();
  expect(stoppedFt).toBeGreaterThan(21);
  expect(stoppedFt).toBeLessThan(24);
  // Let go, it rests; pulled, it comes, and the warning goes.
  await holdUntil(page, 'PageDown', async () => (await counter(page)) < stoppedFt - 2);
  await expect(warning).toBeHidden();
});

test('the rig stands where it was when the page comes back', async ({ page }) => {
  await practise(page, '61 Quarry Row');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await openRig(page);
  await page.getByLabel('Speed').selectOption('fast');
  await holdUntil(page, 'PageUp', async () => (await counter(page)) > 8);
  await expect.poll(() => counter(page)).toBeGreaterThan(8);
  await page.waitForTimeout(400);
  const wasFt = await counter(page);
  await page.reload();
  await expect(picture(page).locator('canvas')).toBeVisible({ timeout: 30_000 });
  await expect.poll(() => counter(page)).toBeCloseTo(wasFt, 1);
  await page.getByRole('button', { name: /^Close/ }).click();
  await expect(page.getByLabel('Counter, ft')).toHaveValue(wasFt.toFixed(1));
});

test('what draws the rig is loaded when it is opened, not before', async ({ page }) => {
  const scripts: string[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) scripts.push(response.url());
  });
  await bookJob(page, '12 Light Lane');
  scripts.length = 0;
  await page.reload();
  await startRun(page);
  await callOut(page, 'clay 4 in');
  const drawing = () => scripts.filter((url) => /picture|RigPanel|RigOpener/i.test(url));
  expect(drawing()).toEqual([]);
  await page.getByRole('button', { name: 'Simulated rig' }).click();
  await page.getByLabel('Lateral').selectOption('made');
  await page.getByLabel('Number').fill('41');
  await page.getByRole('button', { name: 'Open the rig' }).click();
  await expect(picture(page).locator('canvas')).toBeVisible({ timeout: 30_000 });
  expect(drawing().some((url) => /picture/.test(url))).toBe(true);
  await expect.poll(() => coloursShown(page)).toBeGreaterThan(60);
});

test('the picture goes on without WebGL, plain', async ({ page }) => {
  const id = await practise(page, '27 Tanner Lane');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
  await expectSaved(page);
  await page.goto(`/jobs/${id}/scope?picture=plain`);
  await openRig(page);
  await page.getByLabel('Speed').selectOption('fast');
  await holdUntil(page, 'PageUp', async () => (await counter(page)) > 5);
  await expect.poll(() => coloursShown(page)).toBeGreaterThan(30);
  await page.keyboard.press('Alt+s');
  await expectSaved(page);
  await expect
    .poll(async () => (await loggedOnServer(page, id)).some(({ kind }) => kind === 'photo'))
    .toBe(true);
});

test('on a tablet the picture stands under the switch, and the tape is one tap away', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await practise(page, '27 Tanner Lane');
  await page.getByRole('button', { name: 'Start this run' }).click();
  const views = page.getByRole('group', { name: 'Show' });
  await views.getByRole('button', { name: 'Picture' }).click();
  await openRig(page);
  const box = (await picture(page).boundingBox())!;
  expect(box.height).toBeGreaterThan(120);
  await views.getByRole('button', { name: 'Tape' }).click();
  await expect(page.getByRole('region', { name: /^Tape/ })).toBeVisible();
  await expect(picture(page)).toBeHidden();
  // The rig goes on behind it: the keys still push.
  await holdUntil(page, 'PageUp', async () => (await counter(page)) > 1);
});

for (const light of LIGHTS) {
  test(`the open rig passes axe, and 44 px fingers, in ${light}`, async ({ page, baseURL }) => {
    await page.context().addCookies([{ name: 'light', value: light, url: baseURL! }]);
    await practise(page, '40 Marsh End');
    await page.getByRole('button', { name: 'Start this run' }).click();
    await openRig(page);
    await expectAccessible(page, light);
    const small = await page
      .getByRole('region', { name: 'Simulated rig' })
      .locator('button, select')
      .evaluateAll((all) =>
        all.filter((one) => one.getBoundingClientRect().height < 44).map((one) => one.textContent),
      );
    expect(small).toEqual([]);
  });
}
