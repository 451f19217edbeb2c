import { expect, type Page } from '@playwright/test';
import type { Inspection } from '#core/model/job/inspection';

/** The first run of a job as the server has it. */
export const runOnServer = async (page: Page, id: string) => {
  const answer = await page.request.get(`/api/jobs/${id}`);
  return ((await answer.json()) as { inspection: Inspection }).inspection.runs[0]!;
};
/** How much of a recording the server has, bytes. */
export const storedBytes = async (page: Page, id: string, recordingId: string) => {
  const answer = await page.request.get(`/api/jobs/${id}/recordings/${recordingId}?about`);
  return ((await answer.json()) as { bytes: number }).bytes;
};
export const seconds = (count: number) =>
  new Promise((resolve) => setTimeout(resolve, count * 1000));

/** Opens the camera that the browser offers and begins to record it. */
export async function record(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Camera' }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(page.getByText('recording', { exact: true })).toBeVisible();
}

/** Waits until the video of Look again shows a picture. */
export const expectPicture = (page: Page) =>
  expect
    .poll(() => page.locator('video').evaluate((video: HTMLVideoElement) => video.videoWidth), {
      timeout: 20_000,
    })
    .toBeGreaterThan(0);
