import { expect, type Page } from '@playwright/test';

/** Books a job through the form and goes on to its Scope screen. */
export async function bookJob(page: Page, address: string): Promise<string> {
  await page.goto('/');
  await page.getByLabel('Property').fill(address);
  await page.getByLabel('For', { exact: true }).fill('E. Tester');
  await page.getByLabel('Scope on').fill('2026-11-03');
  await page.getByLabel('Inspection period ends').fill('2026-11-12');
  await page.getByRole('button', { name: 'Book the job' }).click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/site$/);
  const id = /jobs\/([^/]+)\/site/.exec(page.url())![1]!;
  await page.goto(`/jobs/${id}/scope`);
  return id;
}

/** Sets up access A and run R1 with the form's defaults. */
export async function startRun(page: Page): Promise<void> {
  await page.getByLabel('Where, in a few words').fill('front yard');
  await page.getByRole('button', { name: 'Start this run' }).click();
  await expect(page.getByLabel('Call out what you see')).toBeFocused();
}

/** Types a call-out and logs it with Enter. */
export async function callOut(page: Page, text: string): Promise<void> {
  const line = page.getByLabel('Call out what you see');
  await line.fill(text);
  await line.press('Enter');
  await expect(line).toHaveValue('');
}

export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible();
}

/** Shows one of the views in the middle of the screen. */
export async function show(
  page: Page,
  view: 'Tape' | 'List' | 'Findings' | 'To do',
): Promise<void> {
  await page
    .getByRole('group', { name: 'Show' })
    .getByRole('button', { name: new RegExp(`^${view}`) })
    .click();
}

/** The log as the server has it. */
export async function loggedOnServer(
  page: Page,
  jobId: string,
): Promise<Record<string, unknown>[]> {
  const file = (await (await page.request.get(`/api/jobs/${jobId}/file`)).json()) as {
    runs: { entries: Record<string, unknown>[] }[];
  };
  return file.runs.flatMap(({ entries }) => entries);
}

/** Moves the focus with the Tab key until it is on the control with this name. */
export async function tabTo(page: Page, name: string): Promise<void> {
  for (let presses = 0; presses < 90; presses += 1) {
    const here = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null;
      const label =
        element && 'labels' in element ? (element as HTMLInputElement).labels?.[0] : null;
      return (
        element?.getAttribute('aria-label') ??
        label?.textContent ??
        element?.textContent ??
        ''
      ).trim();
    });
    if (here === name) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reaches ${name}`);
}
