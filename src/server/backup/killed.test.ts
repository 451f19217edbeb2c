import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { demoInspection } from '#core/testing/demo-inspections';
import { loadInspection, storeInspection } from '../inspections';
import { storeMedia } from '../media/media';
import { freshDatabase } from '../testing/fresh-database';
import { PNG } from '../testing/with-still';
import { alone } from './alone';
import { backUp, clearHalf, listBackups, verifyBackup } from './backup';

const NOW = '2026-11-03T09:00:00.000Z';
const alder = demoInspection('alder-bend');
const JOB = alder.job.id;
const its = freshDatabase();

it('a backup that is killed harms no other, and is cleared away by the next', async () => {
  storeInspection(its.db, alder, NOW);
  const stills = Array.from({ length: 8 }, (_, index) =>
    Buffer.concat([PNG, Buffer.from(String(index))]),
  );
  for (const [index, bytes] of stills.entries()) {
    const place = { jobId: JOB, id: `s${index}` };
    await storeMedia(its.db, its.stores, place, { type: 'image/png', bytes }, NOW);
  }
  const before = writeInspectionFile(loadInspection(its.db, JOB)!);
  const backups = join(its.folder, 'backups');
  mkdirSync(backups);
  const good = await backUp(its.db, its.stores, { folder: backups, at: NOW });
  const halves: string[] = [];
  for (const afterMs of [5, 40, 120]) {
    const backer = spawn(process.execPath, [
      '--import',
      'tsx',
      'src/server/testing/backer.ts',
      its.folder,
      backups,
    ]);
    const exit = once(backer, 'exit');
    await once(backer.stdout, 'data');
    await expect(alone(backups, async () => 'mine')).rejects.toThrow(
      /another backup is being made/,
    );
    await new Promise((rest) => setTimeout(rest, afterMs));
    backer.kill('SIGKILL');
    expect((await exit)[1]).toBe('SIGKILL');
    halves.push(...readdirSync(backups).filter((name) => name.endsWith('.part')));
  }
  for (const name of listBackups(backups)) expect(await verifyBackup(backups, name)).toEqual([]);
  // It was killed in the middle of one, else nothing is shown.
  expect(halves.length).toBeGreaterThan(0);
  expect(writeInspectionFile(loadInspection(its.db, JOB)!)).toBe(before);
  const next = await alone(backups, async () => {
    clearHalf(backups);
    return backUp(its.db, its.stores, { folder: backups, at: '2026-11-20T09:00:00.000Z' });
  });
  expect(readdirSync(backups).filter((name) => name.endsWith('.part'))).toEqual([]);
  expect(listBackups(backups)).toEqual(expect.arrayContaining([good, next]));
  expect(await verifyBackup(backups, next)).toEqual([]);
}, 120_000);
