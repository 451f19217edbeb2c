import { expect, type Page } from '@playwright/test';
import { fileOnServer, openCopyOf } from './copies';
import { expectSaved } from './scope';
import { test } from './test';

const card = (page: Page, name: string) => page.getByRole('article', { name, exact: true });
const why = (page: Page) => page.getByRole('region', { name: /^Why / });
const stay = (page: Page) => page.getByRole('slider', { name: /Buyer plans to stay/ });
const workEnd = (page: Page, which: 'begins' | 'ends') =>
  page.getByRole('slider', { name: new RegExp(`^dig and replace.*: ${which}$`) });
const open = (page: Page, id: string) => openCopyOf(page, 'alder-bend', id, 'repairs');

/** Takes the plan that fixes what fails as the inspector's own. */
async function makeOwn(page: Page) {
  await page.getByRole('button', { name: 'Make it your own' }).click();
  await expect(card(page, 'Your own')).toBeVisible();
}

test('the pick turns with the horizon, with its reason and the sum that is made least', async ({
  page,
}) => {
  await open(page, 'rep-horizon');
  const go = async (years: number) => {
    await stay(page).focus();
    await page.keyboard.press('Home');
    for (let year = 1; year < years; year += 1) await page.keyboard.press('ArrowRight');
  };
  await go(3);
  await expect(card(page, 'Fix what fails')).toContainText('Chert’s pick');
  await expect(why(page)).toContainText('Over 3 years, Fix what fails is expected to cost');
  await expect(card(page, 'Keep it running')).toContainText('must be repaired');
  await expect(why(page)).toContainText(
    /Expected cost over 3 years \+ \$3,000 × chance of a backup/,
  );
  await go(20);
  await expect(card(page, 'Renew what is worn')).toContainText('Chert’s pick');
  await expect(card(page, 'Fix what fails')).not.toContainText('Chert’s pick');
  await expect(why(page)).toContainText(
    /Fix what fails costs about \$\S+ more, with a greater chance of a backup/,
  );
  const sums = await why(page)
    .getByRole('row')
    .filter({ hasText: 'Renew' })
    .getByRole('cell')
    .allTextContents();
  const [cost, backup, whole] = sums.map((text) => Number(text.replace(/[$,%]/g, '')));
  expect(Math.abs(cost! + 30 * backup! - whole!)).toBeLessThan(16);
  await stay(page).blur();
  await expectSaved(page);
  expect((await fileOnServer(page, 'rep-horizon')).settings).toEqual({ horizonYears: 20 });
});

test('a dig of one’s own is stretched by keys and by dragging: price, cures and broken rules follow', async ({
  page,
}) => {
  await open(page, 'rep-own');
  await makeOwn(page);
  const own = card(page, 'Your own');
  await expect(page.getByText('It breaks no rule.')).toBeVisible();
  const before = await own.textContent();
  await workEnd(page, 'ends').focus();
  for (let press = 0; press < 8; press += 1) await page.keyboard.press('ArrowLeft');
  await expect(workEnd(page, 'ends')).toHaveAttribute('aria-valuetext', '54.8 ft');
  const broken = page.getByRole('status', { name: 'Rules that it breaks' });
  await expect(own).toContainText('Leaves finding 3');
  expect(await own.textContent()).not.toBe(before);

  // Back again by the pointer, past the root mass, and short of the sag at the other end.
  const drag = async (which: 'begins' | 'ends', byFt: number) => {
    const box = (await workEnd(page, which).locator('circle').boundingBox())!;
    const scale = (await page.getByRole('group', { name: 'Works of the plan' }).boundingBox())!
      .width;
    const pxPerFt = scale / 110;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + byFt * pxPerFt, box.y + 6, { steps: 6 });
    await page.mouse.up();
  };
  await drag('ends', 6);
  await expect(own).toContainText('ends findings 1 and 3');
  await drag('begins', 5);
  await expect(broken).toContainText(/stops short of finding 1, which needs 40\.7 to 53\.7 ft/);
  await expectSaved(page);
  const kept = (await fileOnServer(page, 'rep-own')).decisions.find(
    ({ kind }) => kind === 'own-plan',
  )!;
  const dig = (kept['works'] as { method: string; fromFt: number; toFt: number }[]).find(
    ({ method }) => method === 'dig',
  )!;
  expect(dig.fromFt).toBeGreaterThan(43);
  expect(dig.toFt).toBeGreaterThan(58.7);
  await page.reload();
  await expect(card(page, 'Your own')).toBeVisible();
});

test('works are added and taken out, what must come first is added with one press', async ({
  page,
}) => {
  await open(page, 'rep-add');
  const own = page.getByRole('region', { name: 'Your own plan' });
  await own
    .getByRole('combobox', { name: /^for/ })
    .selectOption({ label: '1: standing water at 42.7 ft' });
  await own.getByRole('combobox', { name: /^Add/ }).selectOption('liner');
  await expect(own).toContainText('Does not end it: a liner keeps a sag');
  await own.getByRole('button', { name: 'Add it' }).click();
  await expect(own).toContainText('jet with water must come first');
  await own.getByRole('button', { name: 'Add what must come first' }).click();
  await expect(own).not.toContainText('must come first');
  await expect(own).toContainText('cannot pass finding 1');
  await own.getByRole('button', { name: /^Take out Line the pipe/ }).click();
  await own.getByRole('button', { name: 'Let your plan go' }).click();
  await expect(card(page, 'Your own')).toHaveCount(0);
});

test('another plan is chosen with a reason, and a quote is laid beside it', async ({ page }) => {
  await open(page, 'rep-quote');
  await page.getByRole('button', { name: 'Show renew what is worn' }).click();
  const detail = page.getByRole('region', { name: 'Renew what is worn, line by line' });
  await detail.getByRole('button', { name: 'Choose it' }).click();
  await expect(detail.getByRole('alert')).toContainText('Say why');
  await detail.getByLabel(/^Choose renew what is worn/).fill('the seller pays for all of it');
  await detail.getByRole('button', { name: 'Choose it' }).click();
  await expect(card(page, 'Renew what is worn')).toContainText('Your choice');
  await expect(detail).toContainText('“the seller pays for all of it”');
  await expect(detail).toContainText(/\d ft × \$85–210/);

  const quotes = page.getByRole('region', { name: /^Quotes/ });
  await quotes.getByRole('button', { name: 'Enter a quote' }).click();
  await quotes.getByLabel('Quote from').fill('the first contractor');
  const work = quotes.getByRole('group', { name: 'Work 1' });
  await work.getByRole('combobox').selectOption('liner');
  await work.getByLabel('price or range, $').fill('4,000');
  await quotes.getByRole('button', { name: 'Check it' }).click();
  const quote = quotes.getByRole('article', { name: 'Quote from the first contractor' });
  await expect(quote).toContainText(/Will not do.*the sag/);
  await expect(quote).toContainText('No proof by camera after the work is named');
  await expect(quote).toContainText('It does not deal with findings');
  await expectSaved(page);

  await detail.getByRole('link', { name: 'Request sheet' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Please quote for 2 works');
  await expect(page.getByRole('article')).toContainText('marked white x');
  await expect(page.getByRole('article')).not.toContainText('$');
});

test('futures are played away from the screen, the same every time, and anew when an assumption changes', async ({
  page,
}) => {
  await open(page, 'rep-futures');
  const futures = page.getByRole('region', { name: 'Spent by each year' });
  await expect(futures.getByRole('status')).toContainText(
    /20,000 histories of each plan, played in/,
  );
  const first = await futures.getByRole('table').textContent();
  // The same seed plays the same histories.
  await page.reload();
  await expect(futures.getByRole('status')).toContainText('played in');
  expect(await futures.getByRole('table').textContent()).toBe(first);
  await expect(futures).toContainText('What the answer hangs on');
  await expect(futures).toContainText('How long the buyer stays');
  // An assumption changed: everything is reckoned and played anew.
  await page.getByText('See and change them').click();
  await page.getByLabel(/^One backup: emergency call/).fill('7000');
  await page.getByRole('button', { name: 'Keep for this job' }).click();
  await expect(page.getByText('1 of yours are in force for this job.')).toBeVisible();
  await expect(async () => {
    expect(await futures.getByRole('table').textContent()).not.toBe(first);
  }).toPass();
});

test('price books: an area’s own figures, refused when they cannot be right, exported and brought in', async ({
  page,
}) => {
  await page.goto('/prices');
  await page.getByRole('button', { name: 'New book from it' }).first().click();
  await page.getByLabel('Area or name').fill('Hill side');
  await page.getByLabel('Dig and replace, low').fill('300');
  await page.getByLabel('Dig and replace, likely').fill('200');
  await page.getByLabel('Dig and replace, high').fill('400');
  await page.getByRole('button', { name: 'Save this book' }).click();
  await expect(page.getByRole('alert')).toContainText('low, likely and high are not in that order');
  await page.getByLabel('Dig and replace, low').fill('150');
  await page.getByRole('button', { name: 'Save this book' }).click();
  await expect(page.getByText('Hill side is saved.')).toBeVisible();
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const csv = await (await downloading).path();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('Hill side is gone.')).toBeVisible();
  await page.getByLabel('Import books').setInputFiles(csv);
  await expect(page.getByText('One book was imported.')).toBeVisible();

  await open(page, 'rep-book');
  const price = await card(page, 'Fix what fails').textContent();
  await page.getByRole('combobox', { name: /^Prices/ }).selectOption({ index: 1 });
  await expect(card(page, 'Fix what fails')).not.toHaveText(price!);
  await expectSaved(page);
  const book = (await fileOnServer(page, 'rep-book')).settings['priceBook'];
  expect(book).toMatchObject({
    name: 'Hill side',
    prices: { 'dig.foot': { low: 150, likely: 200, high: 400 } },
  });
});
