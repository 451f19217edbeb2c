import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  appendFileSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { demoInspection } from '#core/testing/demo-inspections';
import { migrationsFolder, openData, openDatabase } from '../database';
import { listEntries } from '../entries';
import { lookAtHealth } from '../health';
import { loadInspection, storeInspection } from '../inspections';
import { installationOf } from '../installation';
import { placeOfContent } from '../media/folder-store';
import { storeMedia } from '../media/media';
import { mediaIn } from '../media/places';
import { hashOf, type MediaStores } from '../media/store';
import { migrate, readMigrations } from '../migrate';
import { noteRunning, runningPid } from '../running';
import { backUp, listBackups, prune, readManifest, verifyBackup } from './backup';
import { nameOf, namesToKeep } from './manifest';
import { restore } from './restore';
import { isDue, readLast, writeLast } from './schedule';

const NOW = '2026-11-03T09:00:00.000Z';
const PNG = readFileSync('docs/screenshots/desk.png');
const JOB = 'demo-alder-bend';
let folder: string;
let data: string;
let backups: string;
let db: Database;
let stores: MediaStores;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'chert-'));
  data = join(folder, 'data');
  backups = join(folder, 'backups');
  mkdirSync(data);
  stores = mediaIn(data);
  db = openDatabase(join(data, 'chert.db'));
  storeInspection(db, demoInspection('alder-bend'), NOW);
  await storeMedia(db, stores, { jobId: JOB, id: 'p1' }, { type: 'image/png', bytes: PNG }, NOW);
});
afterEach(() => {
  if (db.open) db.close();
  rmSync(folder, { recursive: true });
});

const backUpAt = (at: string) => backUp(db, stores, { folder: backups, at });

describe('a backup', () => {
  it('is verified byte by byte, and restored over a later state, which is put aside', async () => {
    const before = writeInspectionFile(loadInspection(db, JOB)!);
    const { id, era } = installationOf(db);
    const name = await backUpAt(NOW);
    expect(await verifyBackup(backups, name)).toEqual([]);
    storeInspection(db, { ...demoInspection('mill-street') }, NOW);
    db.close();
    rmSync(placeOfContent(data, hashOf(PNG)));
    const { stills, aside } = await restore(backups, name, data, '2026-11-04T09:00:00.000Z');
    expect(stills).toBe(1);
    expect(existsSync(join(aside!, 'chert.db'))).toBe(true);
    db = openData(data);
    expect(writeInspectionFile(loadInspection(db, JOB)!)).toBe(before);
    expect(loadInspection(db, 'demo-mill-street')).toBeNull();
    expect(readFileSync(placeOfContent(data, hashOf(PNG))).equals(PNG)).toBe(true);
    // The same Chert, in a new era: its devices offer again what it lacks.
    expect(installationOf(db).id).toBe(id);
    expect(installationOf(db).era > era).toBe(true);
  });

  it('keeps a still once for all backups, and says which were missing already', async () => {
    const cut = PNG.subarray(0, 500);
    await storeMedia(db, stores, { jobId: JOB, id: 'p2' }, { type: 'image/png', bytes: cut }, NOW);
    rmSync(placeOfContent(data, hashOf(cut)));
    const [first, second] = [await backUpAt(NOW), await backUpAt('2026-11-04T09:00:00.000Z')];
    expect(readManifest(backups, first).missing).toEqual([{ jobId: JOB, id: 'p2' }]);
    const groups = readdirSync(join(backups, 'media'));
    expect(groups.flatMap((group) => readdirSync(join(backups, 'media', group)))).toHaveLength(1);
    expect(listBackups(backups)).toEqual([second, first]);
    expect(await verifyBackup(backups, second)).toEqual([]);
  });

  it.each<[string, (name: string) => void, RegExp]>([
    [
      'a database that was touched',
      (name) => appendFileSync(join(backups, name, 'chert.db'), 'x'),
      /chert\.db has been changed/,
    ],
    [
      'a still that was touched',
      (name) =>
        writeFileSync(placeOfContent(backups, readManifest(backups, name).media[0]!.sha256), 'x'),
      /has been changed/,
    ],
    [
      'a still that is gone',
      (name) => rmSync(placeOfContent(backups, readManifest(backups, name).media[0]!.sha256)),
      /is gone/,
    ],
  ])('is not restored with %s; nothing is changed', async (_, spoil, says) => {
    const name = await backUpAt(NOW);
    spoil(name);
    expect((await verifyBackup(backups, name)).join()).toMatch(says);
    const before = readdirSync(data);
    await expect(restore(backups, name, data, NOW)).rejects.toThrow(says);
    expect(readdirSync(data)).toEqual(before);
  });

  it('leaves nothing half when it fails', async () => {
    writeFileSync(join(folder, 'file'), '');
    await expect(backUp(db, stores, { folder: join(folder, 'file'), at: NOW })).rejects.toThrow();
    const closed = openDatabase(join(data, 'chert.db'));
    closed.close();
    await expect(backUp(closed, stores, { folder: backups, at: NOW })).rejects.toThrow();
    expect(readdirSync(backups)).toEqual([]);
  });

  it('made while another process writes holds all that was acknowledged before it began, and is whole', async () => {
    const writer = spawn(process.execPath, [
      '--import',
      'tsx',
      'src/server/testing/writer.ts',
      join(data, 'chert.db'),
    ]);
    let acknowledged = 0;
    writer.stdout.on('data', (text: Buffer) => {
      acknowledged = Number(text.toString('utf8').trim().split('\n').at(-1));
    });
    await once(writer.stdout, 'data');
    for (let round = 0; round < 3; round += 1) {
      const atLeast = acknowledged;
      const reader = openDatabase(join(data, 'chert.db'));
      const at = `2026-11-0${round + 4}T09:00:00.000Z`;
      const name = await backUp(reader, stores, { folder: backups, at });
      reader.close();
      expect(await verifyBackup(backups, name)).toEqual([]);
      const copyPath = join(folder, 'copy.db');
      copyFileSync(join(backups, name, 'chert.db'), copyPath);
      const copy = openDatabase(copyPath);
      const ids = (listEntries(copy, JOB).get('R1') ?? []).map(({ id }) => id);
      copy.close();
      rmSync(copyPath);
      for (let index = 1; index <= atLeast; index += 1) expect(ids).toContain(`w${index}`);
    }
    writer.kill();
    await once(writer, 'exit');
    expect(acknowledged).toBeGreaterThan(10);
  });

  it('is made before a migration', () => {
    const path = join(folder, 'old.db');
    const old = new Sqlite(path);
    migrate(old, readMigrations(migrationsFolder()).slice(0, 4));
    old.close();
    openDatabase(path).close();
    expect(existsSync(join(folder, 'backups', 'before-migration-5.db'))).toBe(true);
  });
});

describe('which backups are kept', () => {
  const day = (back: number) =>
    new Date(Date.parse('2026-12-31T03:00:00.000Z') - back * 86_400_000).toISOString();
  it('the last of 7 days, 4 weeks and 12 months', () => {
    const names = Array.from({ length: 500 }, (_, index) => nameOf(day(index)));
    const kept = [...namesToKeep([...names, 'media', 'last.json'], 7)].sort().reverse();
    expect(kept.slice(0, 7)).toEqual(names.slice(0, 7));
    // Weeks end on 31, 27, 20 and 13 December; months at their last backup, back to January.
    const months = [
      '2026-11-30',
      '2026-10-31',
      '2026-09-30',
      '2026-08-31',
      '2026-07-31',
      '2026-06-30',
      '2026-05-31',
      '2026-04-30',
      '2026-03-31',
      '2026-02-28',
      '2026-01-31',
    ];
    const rest = ['2026-12-20', '2026-12-13', ...months];
    expect(kept.slice(7).map((name) => name.slice(0, 10))).toEqual(rest);
  });
  it('the last of as many days as Settings say', () => {
    const names = Array.from({ length: 40 }, (_, index) => nameOf(day(index)));
    const kept = (days: number) => [...namesToKeep(names, days)].sort().reverse();
    expect(kept(30).slice(0, 30)).toEqual(names.slice(0, 30));
    // 31, 27, 20 and 13 December as weeks, 30 November as a month.
    expect(kept(1)).toEqual([0, 4, 11, 18, 31].map((back) => nameOf(day(back))));
  });
  it('the last of all, whatever else', () => {
    expect([...namesToKeep([nameOf('1999-01-01T00:00:00.000Z')], 7)]).toHaveLength(1);
  });
  it('and others go, with the stills that only they had', async () => {
    for (let index = 9; index >= 0; index -= 1) await backUpAt(day(40 + index));
    mkdirSync(join(backups, 'media', 'ff'), { recursive: true });
    writeFileSync(join(backups, 'media', 'ff', 'f'.repeat(64)), 'x');
    prune(backups, 7);
    expect(listBackups(backups).length).toBeLessThan(10);
    expect(readdirSync(join(backups, 'media', 'ff'))).toEqual([]);
    for (const name of listBackups(backups)) expect(await verifyBackup(backups, name)).toEqual([]);
  });
});

describe('when', () => {
  it('a day after the last that was whole; what went wrong is told', () => {
    mkdirSync(backups);
    expect(isDue(readLast(backups), null, 0)).toBe(true);
    writeLast(backups, { at: NOW, trouble: 'the disk is full' });
    const last = readLast(backups);
    expect(last.trouble).toBe('the disk is full');
    expect(isDue(last, null, Date.parse(NOW) + 86_399_999)).toBe(false);
    expect(isDue(last, null, Date.parse(NOW) + 86_400_000)).toBe(true);
  });

  it('at the time that Settings say, by this machine’s clock, once a day; an hour after a try that failed', () => {
    const at = (text: string) => new Date(text).getTime();
    const made = (text: string) => ({ at: new Date(text).toISOString(), trouble: null });
    const HALF_PAST_TWO = 150;
    const due = (last: Parameters<typeof isDue>[0], now: string) =>
      isDue(last, HALF_PAST_TWO, at(now));
    const yesterday = made('2026-11-03T02:31:00');
    expect(due(yesterday, '2026-11-04T02:29:00')).toBe(false);
    expect(due(yesterday, '2026-11-04T02:30:00')).toBe(true);
    expect(due(made('2026-11-04T02:30:40'), '2026-11-04T23:59:00')).toBe(false);
    // Made by hand in the evening: the night's is made all the same.
    expect(due(made('2026-11-03T20:00:00'), '2026-11-04T02:30:00')).toBe(true);
    expect(due({ at: null, trouble: null }, '2026-11-04T12:00:00')).toBe(true);
    const failed = {
      ...yesterday,
      trouble: 'full',
      triedAt: new Date('2026-11-04T02:30:00').toISOString(),
    };
    expect(due(failed, '2026-11-04T03:29:00')).toBe(false);
    expect(due(failed, '2026-11-04T03:31:00')).toBe(true);
  });

  it('never over a Chert that runs', () => {
    expect(runningPid(data)).toBeNull();
    noteRunning(data);
    expect(runningPid(data)).toBe(process.pid);
    writeFileSync(join(data, 'running.pid'), '999999999');
    expect(runningPid(data)).toBeNull();
  });
});

describe('health', () => {
  const nowMs = Date.parse(NOW);
  it('is good where both can be written, and tells a clock that was set back', async () => {
    const where = { dataFolder: data, stores };
    const good = await lookAtHealth(() => db, where, nowMs);
    expect(good).toMatchObject({ ok: true, troubles: [], clockBehindMs: 0 });
    const back = await lookAtHealth(() => db, where, nowMs - 86_400_000);
    expect(back.ok).toBe(false);
    expect(back.troubles.join()).toContain('set back');
  });
  it('says in words what cannot be written', async () => {
    const noFolder = join(data, 'chert.db');
    const gone = await lookAtHealth(
      () => {
        throw new Error('unable to open database file');
      },
      { dataFolder: noFolder, stores: mediaIn(noFolder) },
      nowMs,
    );
    expect(gone.troubles[0]).toContain('The database cannot be written: unable to open');
    expect(gone.troubles[1]).toContain('Stills cannot be written');
  });
});
