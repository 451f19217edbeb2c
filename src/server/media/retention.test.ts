import { existsSync } from 'node:fs';
import { beforeEach, expect, it } from 'vitest';
import { pieceId } from '#core/interchange/recording-piece';
import { demoInspection } from '#core/testing/demo-inspections';
import { backUp, readManifest } from '../backup/backup';
import { listHistory } from '../history';
import { storeInspection } from '../inspections';
import { storeIssued } from '../issued';
import { freshDatabase } from '../testing/fresh-database';
import { PNG } from '../testing/with-still';
import { placeOfContent } from './folder-store';
import { findMedia, MediaGone, readMedia, storeMedia } from './media';
import { findRecording } from './recordings';
import { removeOld } from './retention';
import { hashOf } from './store';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const alder = demoInspection('alder-bend');
const JOB = alder.job.id;
/** Something that is told from all else by its id. */
const contentOf = (id: string) => Buffer.concat([PNG, Buffer.from(id)]);
const put = (id: string, type: string, jobId = JOB) =>
  storeMedia(its.db, its.stores, { jobId, id }, { type, bytes: contentOf(id) }, NOW);
const isKept = (id: string) => existsSync(placeOfContent(its.folder, hashOf(contentOf(id))));
const issue = () => {
  const head = { number: 1, issuedAt: NOW, headline: 'h', reason: '' };
  storeIssued(its.db, JOB, head, []);
};
const go = (today: string) =>
  removeOld(its.db, its.stores, 12, { today, now: '2027-12-01T00:00:00.000Z' });

beforeEach(async () => {
  storeInspection(
    its.db,
    { ...alder, job: { ...alder.job, inspectionPeriodEndsOn: '2026-11-12' } },
    NOW,
  );
  await put('still', 'image/png');
  await put('voice', 'audio/webm');
  await put(pieceId('V', 0), 'video/webm');
  await put(pieceId('V', 1), 'application/octet-stream');
});

it('removes voice and video of an issued job after the firm’s time, and tells it', async () => {
  issue();
  expect(await go('2027-11-12')).toBe(0);
  expect(await go('2027-11-13')).toBe(3);
  expect(await go('2027-11-13')).toBe(0);
  expect(await findMedia(its.db, its.stores, JOB, 'still')).not.toBeNull();
  await expect(readMedia(its.db, its.stores, JOB, 'voice')).rejects.toThrow(MediaGone);
  expect([isKept('still'), isKept(pieceId('V', 0))]).toEqual([true, false]);
  expect(findRecording(its.db, JOB, 'V')).toBeNull();
  expect(listHistory(its.db, JOB)[0]).toMatchObject({
    kind: 'deed',
    says: 'removed 1 voice note and 1 recording, as it is kept no longer than the firm says',
  });
});

it('leaves a job alone whose report is not out', async () => {
  expect(await go('2030-01-01')).toBe(0);
  expect(await findMedia(its.db, its.stores, JOB, 'voice')).not.toBeNull();
});

it('leaves a backup whole: what was removed is not missed in it', async () => {
  issue();
  await go('2027-11-13');
  const backups = `${its.folder}/backups`;
  const name = await backUp(its.db, its.stores, { folder: backups, at: NOW });
  expect(readManifest(backups, name).media.map(({ id }) => id)).toEqual(['still']);
  expect(readManifest(backups, name)).not.toHaveProperty('missing.0');
});

it('leaves what another job names as well, and takes back nothing that a device offers again', async () => {
  const other = { ...alder, job: { ...alder.job, id: 'copy' } };
  storeInspection(its.db, other, NOW);
  await put('voice', 'audio/webm', 'copy');
  issue();
  await go('2027-11-13');
  expect(await findMedia(its.db, its.stores, 'copy', 'voice')).not.toBeNull();
  expect(isKept(pieceId('V', 1))).toBe(false);
  expect((await put(pieceId('V', 1), 'application/octet-stream')).outcome).toBe('known');
  expect(isKept(pieceId('V', 1))).toBe(false);
});
