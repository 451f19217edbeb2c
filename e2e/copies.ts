import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';

/** An inspection file as a test takes it apart. */
export type InspectionJson = {
  job: Record<string, unknown>;
  property: Record<string, unknown>;
  decisions: ({ kind: string; reason: string } & Record<string, unknown>)[];
  settings: Record<string, unknown>;
  runs: { id: string; entries: Record<string, unknown>[] }[];
  ties: { id: string; sightings: unknown[] }[];
};

/** Puts a copy of a demo job on the server, of this test's own. */
export async function putCopy(
  page: Page,
  demo: string,
  id: string,
  change: (file: InspectionJson) => void = () => undefined,
): Promise<void> {
  const file = JSON.parse(readFileSync(`demo/${demo}.chert.json`, 'utf8')) as InspectionJson;
  file.job['id'] = id;
  // Its stills are the demo job's own.
  for (const { entries } of file.runs) for (const entry of entries) delete entry['photoIds'];
  change(file);
  const answer = await page.request.post('/api/jobs/import', { data: file });
  expect(answer.ok()).toBe(true);
}

/** Puts a copy of a demo job on the server and opens one of its screens. */
export async function openCopyOf(
  page: Page,
  demo: string,
  id: string,
  screen: string,
  change?: (file: InspectionJson) => void,
): Promise<void> {
  await putCopy(page, demo, id, change);
  await page.goto(`/jobs/${id}/${screen}`);
}

/** The same with the demo job in which the pipe was called wrongly. */
export const openMiscalled = (
  page: Page,
  id: string,
  change?: (file: InspectionJson) => void,
  screen = 'findings',
): Promise<void> => openCopyOf(page, 'sedge-lane', id, screen, change);

/** The job as the server has it now. */
export const fileOnServer = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/jobs/${id}/file`)).json()) as InspectionJson;
