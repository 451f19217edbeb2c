import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { openMiscalled } from './copies';
import { test } from './test';

const row = (page: Page, name: RegExp) => page.locator('main li button').filter({ hasText: name });
const detail = (page: Page) => page.getByRole('article');

test('settings of judgement are kept, exported, brought in, and taken over by a job', async ({
  page,
}) => {
  await page.goto('/settings');
  await page.getByText('Thresholds of grades and rules').click();
  const bound = page.getByLabel(/^A pipe out of round, or a tap, is moderate from/);
  await bound.fill('0.9');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByRole('alert')).toContainText('bounds in order');
  await bound.fill('0.03');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export settings' }).click();
  const path = await (await download).path();
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
    format: 'chert-settings',
    preferences: { judgement: { settings: { thresholds: { diameterModerateFrom: 0.03 } } } },
  });

  await openMiscalled(page, 'find-settings');
  await row(page, /Deformation at 20\.8/).click();
  await expect(detail(page)).toContainText('slight · watch it');
  await page.getByRole('button', { name: 'Judge this job by my settings of today' }).click();
  await expect(page.getByRole('status', { name: 'What changed' })).toContainText(
    'slight → moderate',
  );

  await page.goto('/settings');
  await page.getByText('Thresholds of grades and rules').click();
  await bound.fill('');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByLabel('Import a file').setInputFiles(path);
  await expect(bound).toHaveValue('0.03');
  await page.reload();
  await page.getByText('Thresholds of grades and rules').click();
  await expect(bound).toHaveValue('');
});

test('backups are made at an hour of one’s own', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('Every day at').fill('02:30');
  await page.getByLabel('Days to keep').fill('0');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByRole('alert')).toContainText('Days of backups');
  await page.getByLabel('Days to keep').fill('14');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Every day at')).toHaveValue('02:30');
  await expect(page.getByLabel('Days to keep')).toHaveValue('14');
});
