import { expect, type Page } from '@playwright/test';

/** The rig's picture. */
export const picture = (page: Page) =>
  page.getByRole('img', { name: /Picture of the simulated camera/ });
/** What the counter shows. */
export const counter = async (page: Page) =>
  Number(await page.getByLabel('Call-out line').locator('output').textContent());

/** Starts a practice job on a lateral and goes on to the set-up of a run from A. */
export async function practise(page: Page, lateral: string, accessId = 'A'): Promise<string> {
  await page.goto('/');
  await page.getByLabel('Line', { exact: true }).selectOption({ label: lateral });
  await page.getByRole('button', { name: 'Start a practice job' }).click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/site$/);
  const id = /jobs\/([^/]+)\/site/.exec(page.url())![1]!;
  await page.goto(`/jobs/${id}/scope?access=${accessId}`);
  return id;
}

/** Opens the simulated rig on Scope. */
export async function openRig(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Simulated rig' }).click();
  await expect(picture(page).locator('canvas')).toBeVisible({ timeout: 30_000 });
}

/** Holds a key until the counter says so, or the status line does. */
export async function holdUntil(
  page: Page,
  key: string,
  isThere: () => Promise<boolean>,
): Promise<void> {
  await page.keyboard.down(key);
  await expect.poll(isThere, { timeout: 120_000, intervals: [100] }).toBe(true);
  await page.keyboard.up(key);
}
