import { existsSync } from 'node:fs';
import { beforeEach, expect, it } from 'vitest';
import { pieceId } from '#core/interchange/recording-piece';
import { demoInspection } from '#core/testing/demo-inspections';
import { backUp, readManifest } from './backup/backup';
import { listHistory } from './history';
import { storeInspection } from './inspections';
import { storeIssued } from './issued';
import { findMedia, MediaGone, pathOfMedia, readMedia, storeMedia } from './media';
import { findRecording } from './recordings';
import { removeOld } from './retention';
import { freshDatabase } from './testing/fresh-database';
import { PNG } from './testing/with-still';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const alder = demoInspection('alder-bend');
const JOB = alder.job.id;
const put = (id: string, type: string) =>
  storeMedia(its.db, its.folder, { jobId: JOB, id }, { type, bytes: PNG }, NOW);
const issue = () => {
  const head = { number: 1, issuedAt: NOW, headline: 'h', reason: '' };
  storeIssued(its.db, JOB, head, []);
};
const go = (today: string) =>
  removeOld(its.db, its.folder, 12, { today, now: '2027-12-01T00:00:00.000Z' });

beforeEach(() => {
  storeInspection(
    its.db,
    { ...alder, job: { ...alder.job, inspectionPeriodEndsOn: '2026-11-12' } },
    NOW,
  );
  put('still', 'image/png');
  put('voice', 'audio/webm');
  put(pieceId('V', 0), 'video/webm');
  put(pieceId('V', 1), 'application/octet-stream');
});

it('removes voice and video of an issued job after the firm’s time, and tells it', () => {
  issue();
  expect(go('2027-11-12')).toBe(0);
  expect(go('2027-11-13')).toBe(3);
  expect(go('2027-11-13')).toBe(0);
  expect(findMedia(its.db, its.folder, JOB, 'still')).not.toBeNull();
  expect(() => readMedia(its.db, its.folder, JOB, 'voice')).toThrow(MediaGone);
  expect(existsSync(pathOfMedia(its.folder, JOB, pieceId('V', 0)).file)).toBe(false);
  expect(findRecording(its.db, JOB, 'V')).toBeNull();
  expect(listHistory(its.db, JOB)[0]).toMatchObject({
    kind: 'deed',
    says: 'removed 1 voice note and 1 recording, as it is kept no longer than the firm says',
  });
});

it('leaves a job alone whose report is not out', () => {
  expect(go('2030-01-01')).toBe(0);
  expect(findMedia(its.db, its.folder, JOB, 'voice')).not.toBeNull();
});

it('leaves a backup whole: what was removed is not missed in it', async () => {
  issue();
  go('2027-11-13');
  const backups = `${its.folder}/backups`;
  const name = await backUp(its.db, its.folder, backups, NOW);
  expect(readManifest(backups, name).media.map(({ id }) => id)).toEqual(['still']);
  expect(readManifest(backups, name)).not.toHaveProperty('missing.0');
});
