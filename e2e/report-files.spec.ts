import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { openCopyOf, putCopy } from './copies';
import { expectSaved, loggedOnServer } from './scope';
import { test } from './test';

const open = (page: Page, id: string, demo = 'alder-bend') => openCopyOf(page, demo, id, 'report');
const paper = (page: Page) => page.getByRole('article');
const issueNow = (page: Page, id: string) =>
  page.request.post(`/api/jobs/${id}/issued`, { data: { reason: '', limits: '' } });

test('files go out, observations come in: columns matched, shown, logged once', async ({
  page,
}) => {
  await open(page, 'out-files');
  const get = async (name: string) => page.request.get(`/api/jobs/out-files/files/${name}`);
  const csv = await get('observations.csv');
  expect(csv.headers()['content-disposition']).toContain('14-alder-bend-observations.csv');
  expect(await (await get('chapters.vtt?run=R1')).text()).toMatch(/^WEBVTT/);
  expect(await (await get('calendar.ics')).text()).toMatch(/^BEGIN:VCALENDAR/);
  expect((await (await get('located.geojson')).json()).type).toBe('FeatureCollection');
  const zip = await get('job.zip');
  const copy = await page.request.post('/api/jobs/import?as=copy', {
    headers: { 'content-type': 'application/zip' },
    data: await zip.body(),
  });
  expect(copy.status()).toBe(201);

  await page.getByRole('link', { name: 'Import observations' }).click();
  await page.waitForLoadState('networkidle');
  const rows = 'Footage,Description\n61,hairline crack\n62,gizmo\n';
  await page
    .getByLabel('CSV file')
    .setInputFiles({ name: 'a.csv', mimeType: 'text/csv', buffer: Buffer.from(rows) });
  await expect(page.getByLabel('What was seen')).toHaveValue('Description');
  const preview = page.getByRole('region', { name: /^As it would be logged/ });
  await expect(preview).toContainText('not understood: kept as a flag with its words');
  await preview.getByRole('button', { name: 'Log 2 rows to run R1' }).click();
  await expect(page.getByText('2 entries were logged to run R1.')).toBeVisible();
  await expectSaved(page);
  const kinds = (await loggedOnServer(page, 'out-files')).slice(-2).map(({ kind }) => kind);
  expect(kinds).toEqual(['defect', 'flag']);
  // Its own export brings back nothing new.
  await page
    .getByLabel('CSV file')
    .setInputFiles({ name: 'b.csv', mimeType: 'text/csv', buffer: await csv.body() });
  await expect(preview.getByRole('button', { name: 'Log 0 rows to run R1' })).toBeDisabled();
});

test('a second look on the same property is held against the first', async ({ page }) => {
  const address = 'Before and After Lane 1';
  const at =
    (id: string, day: string) => (file: Parameters<Parameters<typeof putCopy>[3] & object>[0]) => {
      file.property['address'] = address;
      file.job['title'] = id;
      file.job['scheduledFor'] = `${day}T09:00:00-08:00`;
      delete file.job['inspectionPeriodEndsOn'];
    };
  await putCopy(page, 'alder-bend', 'look-1', at('look-1', '2026-11-03'));
  await putCopy(page, 'alder-bend', 'look-2', (file) => {
    at('look-2', '2027-02-03')(file);
    const [run] = file.runs;
    run!.entries = run!.entries.filter(({ defect }) => defect !== 'roots');
  });
  await page.goto('/jobs/look-2/report');
  await page.getByLabel('Held against an earlier look').selectOption('look-1');
  await expect(paper(page)).toContainText('Before and after: since 3 November 2026');
  await expect(paper(page)).toContainText('Not there any more. The place was seen.');
  await expect(paper(page)).toContainText('2 of 6 are gone, 4 still there, 0 not proved.');
});

test('script in every text of a report stays text: page, PDF, CSV, calendar, chapters, link', async ({
  page,
}) => {
  const evil = '<img src=x onerror="window.pwned=1"><script>window.pwned=1</script>';
  await putCopy(page, 'alder-bend', 'out-evil', (file) => {
    file.property['address'] = evil;
    file.job['client'] = '=cmd()';
    file.decisions = [
      { id: 'w', kind: 'report-wording', reason: '', key: 'remark', text: evil, over: '' },
    ];
    file.runs[0]!.entries.push({
      id: '=evil',
      at: '2026-11-03T12:00:00-08:00',
      pass: 'back',
      readingFt: 3,
      kind: 'note',
      note: evil,
    });
  });
  await issueNow(page, 'out-evil');
  const made = await page.request.post('/api/jobs/out-evil/shares', {
    data: { label: evil, days: 3 },
  });
  const { path } = (await made.json()) as { path: string };
  for (const url of [
    '/jobs/out-evil/report',
    '/jobs/out-evil/issued/1',
    path,
    '/jobs/out-evil/request',
  ]) {
    await page.goto(url);
    expect(await page.evaluate(() => (window as { pwned?: number }).pwned)).toBeUndefined();
    await expect(page.getByText('<script>').first()).toBeVisible();
  }
  const csv = await (await page.request.get('/api/jobs/out-evil/files/observations.csv')).text();
  expect(csv).toContain(`"'=evil"`);
  expect(csv).not.toMatch(/(^|,)=/m);
});

test('the inspection file and the demo file are the same, byte for byte', async ({ page }) => {
  const there = readFileSync('demo/heron-court.chert.json', 'utf8');
  expect(await (await page.request.get('/api/jobs/demo-heron-court/file')).json()).toMatchObject({
    job: { title: JSON.parse(there).job.title },
  });
  const first = await (await page.request.get('/api/jobs/demo-heron-court/file')).text();
  const copy = JSON.parse(first) as { job: { id: string } };
  copy.job.id = 'bytes';
  await page.request.post('/api/jobs/import', { data: copy });
  const second = await (await page.request.get('/api/jobs/bytes/file')).text();
  expect(second.replace('"id": "bytes"', `"id": "${JSON.parse(first).job.id}"`)).toBe(first);
});
