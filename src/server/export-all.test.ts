import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { readInspectionFile } from '#core/interchange/inspection-file';
import { pieceId } from '#core/interchange/recording-piece';
import { demoInspection } from '#core/testing/demo-inspections';
import { exportAll } from './export-all';
import { loadInspection, storeInspection } from './inspections';
import { storeIssued } from './issued';
import { placeOfContent } from './media/folder-store';
import { storeMedia } from './media/media';
import { hashOf } from './media/store';
import { freshDatabase } from './testing/fresh-database';
import { PNG } from './testing/with-still';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const alder = demoInspection('alder-bend');
const JOB = alder.job.id;

it('writes everything as files that are read without Chert, and says what was not to be had', async () => {
  storeInspection(its.db, { ...alder, job: { ...alder.job, title: '14 Alder/Bend: "rear"' } }, NOW);
  storeInspection(its.db, demoInspection('mill-street'), NOW);
  const put = (id: string, type: string, bytes: Buffer) =>
    storeMedia(its.db, its.stores, { jobId: JOB, id }, { type, bytes }, NOW);
  const lost = Buffer.concat([PNG, PNG]);
  await put('still', 'image/png', PNG);
  await put('lost', 'image/png', lost);
  await put(pieceId('V', 0), 'video/webm', Buffer.from('one'));
  await put(pieceId('V', 1), 'application/octet-stream', Buffer.from('two'));
  await put(pieceId('W', 0), 'video/mp4', Buffer.from('three'));
  rmSync(placeOfContent(its.folder, hashOf(lost)));
  const head = { number: 1, issuedAt: NOW, headline: 'h', reason: '' };
  storeIssued(its.db, JOB, head, [
    { name: 'buyer.pdf', type: 'application/pdf', bytes: Buffer.from('%PDF') },
  ]);
  const folder = join(its.folder, 'out');
  // Twice: nothing is added to what was there.
  for (const _ of [1, 2]) {
    const done = await exportAll(its.db, its.stores, folder);
    expect(done).toEqual({ jobs: 2, files: 10, missing: [`${JOB}: lost`] });
  }
  const own = join(
    folder,
    readdirSync(folder).find((name) => name.includes('Alder'))!,
  );
  expect(own).toMatch(/2026-11-03 14 Alder Bend rear \S+$/);
  const file = readInspectionFile(readFileSync(join(own, 'inspection.chert.json'), 'utf8'));
  expect(file.ok && file.value).toEqual(loadInspection(its.db, JOB));
  expect(readFileSync(join(own, 'media', 'still.png'))).toEqual(PNG);
  expect(readFileSync(join(own, 'media', 'recording V.webm'), 'utf8')).toBe('onetwo');
  expect(readFileSync(join(own, 'media', 'recording W.mp4'), 'utf8')).toBe('three');
  expect(readFileSync(join(own, 'issued', 'version 1', 'buyer.pdf'), 'utf8')).toBe('%PDF');
  expect(existsSync(join(own, 'history.json'))).toBe(true);
  expect(readFileSync(join(folder, 'fees and invoices.csv'), 'utf8')).toContain('88 Mill Street');
});
