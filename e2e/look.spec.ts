import { expect } from '@playwright/test';
import { expectPicture, record, runOnServer, seconds, storedBytes } from './looking';
import { bookJob, callOut, expectSaved, startRun } from './scope';
import { test } from './test';

test('what is logged while it plays takes its footage from the picture', async ({ page }) => {
  test.setTimeout(120_000);
  const id = await bookJob(page, '7 Lens Row');
  await startRun(page);
  await record(page);
  await seconds(13);
  await page.getByRole('button', { name: /^Stop/ }).click();
  await expectSaved(page);
  await page.goto(`/jobs/${id}/look`);
  await expectPicture(page);
  await page.getByRole('tab', { name: 'Recording' }).click();
  // A reel that went in at 2 ft a second, rested at 10 ft for two seconds, and went on.
  await page.getByLabel(/counter, as CSV/).setInputFiles({
    name: 'reel.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('time,feet\n0,0\n5,10\n7,10\n13,22\n'),
  });
  await expect(page.getByText(/4 readings are laid beside it/)).toBeVisible();
  const rate = page.getByRole('button', { name: 'Faster' });
  await rate.click();
  await rate.click();
  await page.getByRole('button', { name: 'Play' }).click();
  const line = page.getByLabel('Call out what you see');
  await line.focus();
  const said = ["crack at 3 o'clock", 'offset slight', 'grease light'];
  for (const text of said) {
    await line.fill(text);
    await line.press('Enter');
    await expect(line).toHaveValue('');
    await seconds(1);
  }
  await expectSaved(page);
  const { entries, recordings } = await runOnServer(page, id);
  const again = entries.filter(({ secondLook }) => secondLook);
  expect(again.map(({ kind }) => kind)).toEqual(['defect', 'defect', 'defect']);
  const { startedAt } = recordings![0]!;
  for (const { readingFt, at, secondLook } of again) {
    expect(Date.parse(at)).toBeLessThan(Date.parse(secondLook!.at));
    // What the reel says of the moment that the picture showed.
    const atS = (Date.parse(at) - Date.parse(startedAt!)) / 1000;
    const reelFt = atS < 5 ? 2 * atS : atS < 7 ? 10 : 10 + 2 * (atS - 7);
    expect(Math.abs(readingFt! - reelFt)).toBeLessThan(0.6);
  }
  expect(again[2]!.readingFt!).toBeGreaterThan(again[0]!.readingFt!);
});

test('a video of one’s own is stored with the job, and nothing said meanwhile is taken back', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const id = await bookJob(page, '8 Lens Row');
  await startRun(page);
  await record(page);
  await seconds(8);
  await page.getByRole('button', { name: /^Stop/ }).click();
  await expectSaved(page);
  const [made] = (await runOnServer(page, id)).recordings!;
  const part = await page.request.get(`/api/jobs/${id}/recordings/${made!.id}`);
  const video = { name: 'reel.webm', mimeType: 'video/webm', buffer: await part.body() };
  await page.goto(`/jobs/${id}/look`);
  await page.getByRole('tab', { name: 'Recording' }).click();
  await page.getByLabel(/Store it with the job/).check();
  await page.getByLabel('Choose a video').setInputFiles(video);
  await expect
    .poll(async () => (await runOnServer(page, id)).recordings?.map(({ place }) => place))
    .toEqual(['server', 'server']);
  const stored = (await runOnServer(page, id)).recordings![1]!;
  expect(stored).toMatchObject({ name: 'reel.webm', bytes: video.buffer.byteLength });
  // A copy has another time than its film: it is offered, and not taken.
  expect(stored).not.toHaveProperty('startedAt');
  expect(await storedBytes(page, id, stored.id)).toBe(video.buffer.byteLength);
  await page.getByRole('button', { name: /by its file/ }).click();
  await expectSaved(page);
  expect((await runOnServer(page, id)).recordings![1]).toHaveProperty('startedAt');
});

test('what was said becomes entries, by keys alone', async ({ page }) => {
  const id = await bookJob(page, '9 Lens Row');
  await startRun(page);
  await page.goto(`/jobs/${id}/look`);
  await page.getByRole('tab', { name: 'Log' }).focus();
  for (const key of ['ArrowLeft', 'Home', 'ArrowRight']) await page.keyboard.press(key);
  const narration = page.getByRole('tab', { name: 'Narration', selected: true });
  await expect(narration).toBeFocused();
  const told =
    '[0:02] We start in cast iron, four inch, at zero feet.\n[0:20] There are roots at eighteen feet, about ten percent.\n[0:31] Looks like a crack at twenty seven feet.\n[0:40] No grease in here.';
  await page.getByLabel('Or paste what was said').fill(told);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const first = page.locator('[data-draft]').first();
  // What is in doubt comes first.
  await expect(first).toContainText('Crack');
  await first.focus();
  await page.keyboard.press('Delete');
  await page.keyboard.press('Enter');
  await page.keyboard.press('e');
  await page.getByLabel(/Say it as you would/).fill('roots 18.5 20%');
  await page.keyboard.press('Enter');
  await page.locator('[data-draft]').nth(2).focus();
  await page.keyboard.press('Enter');
  // What was accepted is not lost by one press.
  await page.getByRole('tabpanel').getByRole('button', { name: 'Remove' }).press('Enter');
  await expect(page.getByLabel('Or paste what was said')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /Log the 2 accepted/ }).press('Enter');
  await expectSaved(page);
  const { entries } = await runOnServer(page, id);
  expect(entries.map(({ kind, readingFt }) => [kind, readingFt])).toEqual([
    ['material', 0],
    ['defect', 18.5],
  ]);
});

test('a still is measured, by touches and by keys, and the measure is written down', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const id = await bookJob(page, '11 Lens Row');
  await startRun(page);
  await record(page);
  await callOut(page, '0 pvc 4 in');
  await seconds(1);
  await callOut(page, 'standing water 10 to 14, 1 in');
  await seconds(4);
  await page.getByRole('button', { name: /^Stop/ }).click();
  await expectSaved(page);
  await page.goto(`/jobs/${id}/look`);
  await expectPicture(page);
  await page.getByRole('button', { name: /Standing water/ }).click();
  await page
    .getByRole('group', { name: 'Player' })
    .getByRole('button', { name: 'Measure' })
    .click();
  const still = page.getByRole('application');
  const box = (await still.boundingBox())!;
  const touch = (x: number, y: number) =>
    page.mouse.click(
      box.x + box.width / 2 + x * box.height,
      box.y + box.height / 2 + y * box.height,
    );
  // A pipe of radius .3 of the picture's height about its middle, and water through the middle of it.
  for (const [x, y] of [
    [0.3, 0],
    [-0.3, 0],
    [0, 0.3],
    [0, -0.3],
  ])
    await touch(x!, y!);
  await page.getByRole('button', { name: /The thing/ }).click();
  await touch(-0.3, 0.03);
  await touch(0.26, 0.03);
  await page.keyboard.press(']');
  await page.keyboard.press(']');
  for (let step = 0; step < 4; step += 1) await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/water to 4[3-7]% of the diameter/)).toBeVisible();
  await page.getByRole('button', { name: 'Write into the log' }).click();
  await expectSaved(page);
  const { entries } = await runOnServer(page, id);
  const last = entries.at(-1)!;
  expect(last).toMatchObject({ kind: 'defect', sizeBasis: 'measured', secondLook: {} });
  expect(last.kind === 'defect' && last.fillRatio).toBeGreaterThan(0.42);
  expect(last.kind === 'defect' && last.measures).toHaveLength(1);
  expect(last.photoIds).toHaveLength(1);
});
