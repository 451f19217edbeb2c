import { expect } from '@playwright/test';
import { expectAccessible, LIGHTS } from './axe';
import { bookJob, callOut, expectSaved } from './scope';
import { test } from './test';

const PAGES = [
  '/',
  '/settings',
  '/jobs/demo-alder-bend/site',
  '/jobs/demo-mill-street/site',
  '/jobs/demo-alder-bend/scope',
  '/jobs/demo-heron-court/scope',
  '/jobs/demo-mill-street/scope',
  '/jobs/demo-tern-street/lateral',
  '/jobs/demo-sedge-lane/findings',
  '/jobs/demo-mill-street/lateral',
  '/prices',
  '/outbox',
  '/jobs/demo-alder-bend/report',
  '/jobs/demo-alder-bend/observations',
  '/jobs/demo-alder-bend/repairs',
  '/jobs/demo-heron-court/repairs',
  '/jobs/demo-mill-street/repairs',
  '/jobs/demo-alder-bend/request?plan=fix-failing',
  '/jobs/demo-heron-court/report',
  '/nowhere',
];

for (const light of LIGHTS) {
  test(`axe finds nothing, and no page complains, in ${light}`, async ({
    page,
    context,
    baseURL,
  }) => {
    // Nineteen pages, each looked at whole.
    test.setTimeout(180_000);
    await context.addCookies([{ name: 'light', value: light, url: baseURL! }]);
    const complaints: string[] = [];
    page.on('console', (message) => {
      if (['error', 'warning'].includes(message.type()) && !message.text().includes('404'))
        complaints.push(message.text());
    });
    page.on('pageerror', (error) => complaints.push(error.message));
    for (const path of PAGES) {
      await page.goto(path);
      await expectAccessible(page, light);
    }
    expect(complaints).toEqual([]);
  });
}

test('the report reads without any script, in either light, at phone width', async ({
  browser,
}) => {
  const context = await browser.newContext({
    javaScriptEnabled: false,
    viewport: { width: 390, height: 844 },
  });
  const page = await context.newPage();
  await page.goto('/jobs/demo-heron-court/report');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Repair two spots before you close',
  );
  await expect(page.getByText('41 feet could be seen')).toBeVisible();
  await page.getByRole('button', { name: 'Crawlspace light' }).click();
  await expect(page).toHaveURL(/heron-court\/report$/);
  await expect(page.locator('html')).toHaveAttribute('data-light', 'crawlspace');
  await expect(page.getByRole('article')).toContainText('What to do first');
  await context.close();
});

test('booking asks for what is missing and keeps what was typed', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('For', { exact: true }).fill('E. Tester');
  await page.getByLabel('Scope on').fill('2026-11-10');
  await page.getByLabel('Inspection period ends').fill('2026-11-03');
  await page.getByRole('button', { name: 'Book the job' }).click();
  await expect(page.getByText('Enter the address of the property.')).toBeVisible();
  await page.getByLabel('Property').fill('1 Marl Street');
  await page.getByRole('button', { name: 'Book the job' }).click();
  await expect(page.getByText('a day on or after the scope (2026-11-10)')).toBeVisible();
  await expect(page.getByLabel('For', { exact: true })).toHaveValue('E. Tester');
});

test('a file goes out and comes back in, and a bad one is refused with its faults', async ({
  page,
}) => {
  const file = await (await page.request.get('/api/jobs/demo-quarry-lane/file')).text();
  await page.goto('/');
  const input = page.getByLabel('Inspection file (.chert.json)');
  // Files can be handed to a field that no script watches yet; nobody could choose them there.
  await expect(input).toBeEnabled();
  await input.setInputFiles({
    name: 'x.chert.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.replace('"households": 1', '"households": "one"')),
  });
  await expect(page.getByRole('alert')).toContainText(
    'property.households: expected a number, got "one"',
  );
  await input.setInputFiles({
    name: 'x.chert.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.replace('D. Marsh', 'D. Marsh and Sons')),
  });
  await page.getByRole('button', { name: 'Import as a copy' }).click();
  await expect(page).toHaveURL(/\/report$/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('The sewer works');
});

test('script in every text field stays text', async ({ page }) => {
  const evil = '<script>window.pwned=1</script><img src=x onerror="window.pwned=1">';
  await bookJob(page, evil);
  await page.getByLabel('Where, in a few words').fill(evil);
  await page.getByRole('button', { name: 'Start this run' }).click();
  await callOut(page, '0 pvc 4 in');
  await callOut(page, `note ${evil}`);
  await callOut(page, `roots 10 ft 20% ${evil}`);
  await callOut(page, `test ${evil} clears`);
  await callOut(page, evil);
  await expectSaved(page);
  for (const path of [page.url(), page.url().replace('/scope', '/report'), '/']) {
    await page.goto(path);
    expect(await page.evaluate(() => (window as { pwned?: number }).pwned)).toBeUndefined();
  }
  await expect(page.getByText(evil).first()).toBeVisible();
});

test('the Desk shows what is at work, and finds a job', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'At work' })).toBeVisible();
  await expect(page.getByRole('row', { name: /27 Heron Court/ })).toContainText(
    '1 run, 17 entries',
  );
  await page.getByLabel('Address or client').fill('okafor');
  await page.getByRole('button', { name: 'Search' }).click();
  await expect(page.getByRole('row')).toHaveCount(2);
  await expect(page.getByRole('row', { name: /14 Alder Bend/ })).toBeVisible();
  await page.getByLabel('Address or client').fill('nobody at all');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No job has “nobody at all”')).toBeVisible();
});

test('an address that is not there says so and leads back', async ({ page }) => {
  for (const path of ['/nowhere', '/jobs/nix/scope', '/jobs/nix/report']) {
    const response = await page.goto(path);
    expect(response!.status()).toBe(404);
    await expect(page.getByRole('link', { name: 'Go to Jobs' })).toBeVisible();
  }
});

test('a button pressed before the page is awake does what it says once it is', async ({ page }) => {
  let wake = (): void => undefined;
  const held = new Promise<void>((resolve) => {
    wake = resolve;
  });
  // The script that wakes the parts of a page comes late, as on a slow phone.
  await page.route('**/_astro/client.*.js', async (route) => {
    await held;
    await route.continue();
  });
  const opened = page.goto('/jobs/demo-heron-court/scope');
  const list = page.getByRole('button', { name: 'List', exact: false }).first();
  await list.click();
  await list.click();
  wake();
  await opened;
  await expect(list).toHaveAttribute('aria-pressed', 'true');
});
