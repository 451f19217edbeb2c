import { expect, type Page } from '@playwright/test';
import { ownServer } from './own-server';
import { letIn, makeOwner, signAs } from './people';
import { callOut, expectSaved, startRun } from './scope';
import { OWN_PORT } from './server-env';
import { test } from './test';

const server = ownServer(OWN_PORT.custody);
const { base } = server;
test.use({ baseURL: base });
test.beforeEach(async () => {
  server.reset();
  await server.start();
});
test.afterEach(server.end);

const JOB = 'mine';
const LINES = ['12 roots 30%', '14 offset slight', '18 crack', '22 tee', '25 clay'];
const send = (cookie: string, method: string, path: string, body: object) =>
  fetch(`${base}${path}`, {
    method,
    headers: { origin: base, cookie, 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

/** An inspector with a job of her own, at work on it, and then without a signal. */
async function annOffline(page: Page, owner: string) {
  const ann = await letIn(base, owner, 'Ann', 'inspector');
  const booked = await send(ann.cookie, 'POST', '/api/jobs', {
    id: JOB,
    address: '1 Marl Way',
    client: 'C',
    inspector: 'Ann',
    scheduledFor: '2026-11-03T09:00:00-08:00',
    scope: 'lateral',
    responsibility: 'to-main',
  });
  expect(booked.status).toBe(201);
  await signAs(page, base, ann.cookie);
  await page.goto(`/jobs/${JOB}/scope`);
  await page.waitForFunction(() => !document.querySelector('astro-island[ssr]'));
  await startRun(page);
  await callOut(page, '10 abs 4 in');
  await expectSaved(page);
  await page.context().setOffline(true);
  for (const line of LINES) await callOut(page, line);
  return ann;
}

const entriesAt = async (owner: string) => {
  const file = await fetch(`${base}/api/jobs/${JOB}/file`, { headers: { cookie: owner } });
  if (!file.ok) return -1;
  const { runs } = (await file.json()) as { runs: { entries: unknown[] }[] };
  return runs.flatMap(({ entries }) => entries).length;
};

test('a job is given to somebody else while its inspector is offline: her lines arrive, and are marked', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  const owner = await makeOwner(base);
  const bo = await letIn(base, owner, 'Bo', 'inspector');
  await annOffline(page, owner);
  const people = await (await fetch(`${base}/people`, { headers: { cookie: owner } })).text();
  const boId = new RegExp(`${bo.mail}[\\s\\S]*?name="id" value="(\\w+)"`).exec(people)![1]!;
  const given = await send(owner, 'PATCH', `/api/jobs/${JOB}`, {
    id: 'give',
    device: 'office',
    saidAt: new Date().toISOString(),
    base: 1,
    edits: [{ path: ['job', 'assignedTo'], value: boId }],
  });
  expect(given.status).toBe(200);
  const before = await entriesAt(owner);
  await page.context().setOffline(false);
  await expect.poll(() => entriesAt(owner), { timeout: 20_000 }).toBe(before + LINES.length);

  const office = await browser.newContext({ baseURL: base });
  const desk = await office.newPage();
  await signAs(desk, base, owner);
  await desk.goto('/due?whose=all');
  const late = desk.getByRole('region', { name: 'Came in late' });
  await expect(late).toContainText(
    `${LINES.length} lines by Ann came in after the job was given to Bo.`,
  );
  await late.getByRole('button', { name: 'I have seen it' }).click();
  await expect(late).toBeHidden();
  await desk.goto(`/jobs/${JOB}/site`);
  await desk.waitForFunction(() => !document.querySelector('astro-island[ssr]'));
  await desk.getByRole('button', { name: 'Show what was changed' }).click();
  const happened = desk.getByRole('listitem');
  await expect(
    happened
      .filter({ hasText: 'handed over work that came in after the job was given to Bo' })
      .first(),
  ).toContainText('Ann');
  await office.close();
});

test('a lost tablet is ended: nothing on it opens anything, and what it still sends waits for the owner', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  const owner = await makeOwner(base);
  const ann = await annOffline(page, owner);
  const made = await fetch(`${base}/me`, {
    method: 'POST',
    headers: { origin: base, cookie: ann.cookie },
    body: new URLSearchParams({ do: 'feed' }),
  });
  const calendar = /\/calendar\/[\w-]+/.exec(await made.text())![0];
  expect((await fetch(`${base}${calendar}`)).status).toBe(200);

  const office = await browser.newContext({ baseURL: base });
  const desk = await office.newPage();
  await signAs(desk, base, owner);
  await desk.goto('/people');
  const row = desk.getByRole('listitem').filter({ hasText: ann.mail }).first();
  await row.getByText('2 ways in').click();
  await row.getByRole('button', { name: /^Remove: Calendar address/ }).click();
  expect((await fetch(`${base}${calendar}`)).status).toBe(404);
  await row.getByText('One way in').click();
  await row.getByRole('button', { name: /^Sign out: .* of Ann/ }).click();
  await expect(desk.getByRole('status')).toContainText('told to forget what it keeps');
  expect((await fetch(`${base}/api/jobs`, { headers: { cookie: ann.cookie } })).status).toBe(401);

  const before = await entriesAt(owner);
  await page.context().setOffline(false);
  await desk.goto('/devices');
  await expect(async () => {
    await desk.reload();
    await expect(desk.getByText(/5 things by Ann/)).toBeVisible({ timeout: 1_000 });
  }).toPass({ timeout: 20_000 });
  expect(await entriesAt(owner)).toBe(before);
  await desk.getByRole('button', { name: 'Take it' }).click();
  await expect.poll(() => entriesAt(owner)).toBe(before + LINES.length);
  // The tablet itself says what happened, and forgets.
  await page.goto(`/jobs/${JOB}/scope`);
  await expect(page).toHaveURL(/\/sign-in/);
  await expect(page.getByRole('status')).toContainText('signed out from elsewhere');
  await office.close();
});
