import { beforeEach, expect, it } from 'vitest';
import type { UnsentWork } from '#core/interchange/unsent-work';
import { checkUnsentWork } from '#core/interchange/unsent-work.schema';
import { demoInspection } from '#core/testing/demo-inspections';
import { listEntries } from '../entries';
import { listHistory } from '../history';
import { loadFacts, storeInspection } from '../inspections';
import { installationOf } from '../installation';
import { findMedia } from '../media/media';
import { createAccount } from '../people/accounts';
import { ownerOf } from '../people/make-owner';
import { freshDatabase } from '../testing/fresh-database';
import { callBy, signIn } from '../testing/people';
import { PNG } from '../testing/with-still';
import { importUnsent } from './import-unsent';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const JOB = 'demo-alder-bend';
let owner = '';
let ann = '';
beforeEach(() => {
  owner = ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
  ann = createAccount(its.db, { name: 'Ann', mail: 'ann@x.example', role: 'inspector' }, NOW).id;
  storeInspection(its.db, demoInspection('alder-bend'), NOW);
});
const as = (id: string) => callBy(its, { kind: 'person', person: signIn(its.db, id, NOW) }, NOW);
const work = (): UnsentWork => {
  const at = { jobId: JOB, by: ann, saidAt: NOW, base: 1 };
  const entry = { id: 'u1', at: NOW, pass: 'out', readingFt: 20, kind: 'note', note: 'n' } as const;
  const edits = [{ path: ['property', 'yearBuilt'], value: 1931 }];
  return {
    format: 'chert-unsent-work',
    version: 1,
    installation: installationOf(its.db).id,
    device: 'tablet',
    savedAt: NOW,
    changes: [
      { ...at, id: 'u1', change: { what: 'entry', runId: 'R1', entry } },
      { ...at, id: 'c1', change: { what: 'edits', edits } },
      { ...at, id: 'p1', change: { what: 'media', mediaId: 'p1' } },
    ],
    media: [{ jobId: JOB, id: 'p1', bytes: PNG.toString('base64') }],
  };
};

it('brings in what a device had not sent, once, and says who made it and who brought it', async () => {
  expect(checkUnsentWork(work())).toMatchObject({ ok: true });
  expect(await importUnsent(as(owner), work())).toMatchObject({ outcome: 'stored', changes: 3 });
  expect(await importUnsent(as(owner), work())).toMatchObject({ outcome: 'known', changes: 0 });
  expect(
    listEntries(its.db, JOB)
      .get('R1')
      ?.some(({ id }) => id === 'u1'),
  ).toBe(true);
  expect(loadFacts(its.db, JOB)!.inspection.property.yearBuilt).toBe(1931);
  expect(await findMedia(its.db, its.stores, JOB, 'p1')).not.toBeNull();
  expect(
    listHistory(its.db, JOB).find((one) => one.kind === 'deed' && one.says.includes('brought in')),
  ).toMatchObject({ person: 'Olive', says: 'brought in 3 that Ann made, according to the file' });
});

it('follows the rights of what it writes, and takes no file of another Chert', async () => {
  await expect(async () => importUnsent(as(ann), work())).rejects.toMatchObject({ status: 404 });
  const other = { ...work(), installation: 'other' };
  await expect(async () => importUnsent(as(owner), other)).rejects.toMatchObject({ status: 409 });
  expect(
    listEntries(its.db, JOB)
      .get('R1')
      ?.some(({ id }) => id === 'u1'),
  ).toBe(false);
});
