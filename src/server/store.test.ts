import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { readInspectionFile, writeInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import type { Entry } from '#core/model/log/entry';
import { migrationsFolder, openDatabase } from './database';
import { readDesk } from './desk';
import { appendEntries, listEntries } from './entries';
import { loadInspection, storeInspection } from './inspections';
import { findJobs, jobsAtWork, removeJob } from './jobs';
import { migrate, readMigrations } from './migrate';
import { addPart } from './parts';

const NOW = '2026-11-03T00:00:00Z';
let folder: string;
let db: Database;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chert-'));
  db = openDatabase(join(folder, 'chert.db'));
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true });
});

const demoNames = readdirSync('demo').filter((name) => name.endsWith('.chert.json'));
function demo(name = 'alder-bend.chert.json'): Inspection {
  const outcome = readInspectionFile(readFileSync(join('demo', name), 'utf8'));
  if (!outcome.ok) throw new Error(name);
  return outcome.value;
}
const note = (id: string, text = 'x'): Entry => ({
  id,
  at: NOW,
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: text,
});

describe('migrations', () => {
  it('bring every earlier version of the database to the same shape', () => {
    const all = readMigrations(migrationsFolder());
    const shape = (base: Database) =>
      base.prepare('SELECT name, sql FROM sqlite_master ORDER BY name').all();
    for (let version = 0; version <= all.length; version += 1) {
      const old = new Sqlite(':memory:');
      migrate(old, all.slice(0, version));
      expect(migrate(old, all)).toBe(all.length);
      expect(shape(old)).toEqual(shape(db));
      expect(old.pragma('user_version', { simple: true })).toBe(all.length);
      old.close();
    }
  });

  it('move what grants access out of an older database, once, and leave the jobs as they are', () => {
    const path = join(folder, 'old.db');
    const old = new Sqlite(path);
    migrate(old, readMigrations(migrationsFolder()).slice(0, 8));
    old.exec(`
      INSERT INTO installation (only_one, id, era, access_token, latest_at) VALUES (1, 'I', 'E', 'tok-en', '2026');
      INSERT INTO accounts (id, name, mail, role, password, created_at, home, preferences, feed_sha256)
        VALUES ('a', 'Ann', 'ann@x.example', 'owner', 'h', '2026', '1, 2', '{"x":1}', 'f');
      INSERT INTO sessions VALUES ('s', 'a', 'hash', 'Chrome', '2026-01', '2026-02', NULL);
      INSERT INTO invitations VALUES ('i', 'a', '2026', '2027', NULL);
      INSERT INTO passkeys VALUES ('p', 'a', x'01', 3, 'key', '2026', NULL);
      INSERT INTO jobs (id, job, property, rest, booked_at) VALUES ('j', '{"title":"J","assignedTo":"a"}', '{}', '{}', '2026');
      INSERT INTO share_links (id, job_id, secret_sha256, label, reader, created_at, expires_at)
        VALUES ('l', 'j', 'sh', 'Lee', 'agent', '2026', '2027');
    `);
    old.close();
    const security = join(folder, 'old-security.db');
    for (let start = 0; start < 2; start += 1) {
      const moved = openDatabase(path, security);
      const all = (table: string) => moved.prepare(`SELECT * FROM ${table}`).all();
      expect(all('security.accounts')).toMatchObject([
        { id: 'a', password: 'h', home: '1, 2', preferences: '{"x":1}', feed_sha256: 'f' },
      ]);
      expect(all('sessions')).toMatchObject([
        { id: 's', confirmed_at: '2026-01', device_id: null },
      ]);
      expect(all('invitations')).toHaveLength(1);
      expect(all('passkeys')).toMatchObject([{ id: 'p', counter: 3, ended_at: null }]);
      expect(all('share_links')).toMatchObject([{ id: 'l', job_id: 'j', reader: 'agent' }]);
      expect(all('secrets')).toEqual([{ name: 'access-token', value: 'tok-en' }]);
      expect(all('main.jobs')).toMatchObject([{ id: 'j', assigned_to: 'a' }]);
      expect(all("main.sqlite_master WHERE name = 'accounts'")).toEqual([]);
      moved.close();
    }
  });

  it('leave nothing of a step that fails, and refuse a newer database', () => {
    const base = new Sqlite(':memory:');
    const broken = [
      { version: 1, name: '0001-x.sql', sql: 'CREATE TABLE a (x); CREATE TABLE a (x);' },
    ];
    expect(() => migrate(base, broken)).toThrow();
    expect(base.pragma('user_version', { simple: true })).toBe(0);
    expect(base.prepare('SELECT count(*) AS n FROM sqlite_master').get()).toEqual({ n: 0 });
    base.pragma('user_version = 9');
    expect(() => migrate(base, broken)).toThrow(/version 9/);
    base.close();
  });
});

describe('the store', () => {
  it('writes through to the disk before it answers', () => {
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
  });

  it.each(demoNames)('gives demo/%s back byte for byte, unknown keys included', (name) => {
    const file = demo(name);
    const strange = { ...file, later: { x: 1 }, job: { ...file.job, alsoNew: [1] } } as Inspection;
    expect(storeInspection(db, strange, NOW)).toBe('stored');
    expect(writeInspectionFile(loadInspection(db, file.job.id)!)).toBe(
      writeInspectionFile(strange),
    );
    expect(storeInspection(db, strange, NOW)).toBe('known');
    expect(
      storeInspection(db, { ...strange, decisions: [{ id: 'd', kind: 'k', reason: 'r' }] }, NOW),
    ).toBe('conflict');
  });

  it('stores an entry sent twice once, and nothing of a batch with a taken id', () => {
    storeInspection(db, { ...demo(), runs: [] }, NOW);
    const { entries: _, ...setup } = demo().runs[0]!;
    addPart(db, 'runs', 'demo-alder-bend', setup);
    const append = (...entries: Entry[]) =>
      appendEntries(db, 'demo-alder-bend', 'R1', entries, NOW);
    const ids = () =>
      listEntries(db, 'demo-alder-bend')
        .get('R1')
        ?.map(({ id }) => id);
    expect(append(note('a'), note('b'))).toEqual(['stored', 'stored']);
    expect(append(note('b'), note('c'))).toEqual(['known', 'stored']);
    expect(append(note('d'), note('a', 'something else'))).toEqual(['stored', 'conflict']);
    expect(ids()).toEqual(['a', 'b', 'c']);
  });

  it('never lets an entry be edited or deleted', () => {
    storeInspection(db, demo(), NOW);
    expect(() => db.exec(`UPDATE entries SET body = '{}'`)).toThrow(/append-only/);
    expect(() => db.exec('DELETE FROM entries')).toThrow(/append-only/);
  });

  it('lists what is at work, what it waits for and the days left', () => {
    for (const name of demoNames) storeInspection(db, demo(name), NOW);
    const desk = readDesk(db, new Date('2026-11-04T12:00:00'), '');
    expect(desk.cards.map(({ title, blockers, daysLeft }) => [title, blockers, daysLeft])).toEqual([
      ['27 Tern Street', 1, 4],
      ['3 Quarry Lane', 0, 3],
      ['14 Alder Bend', 0, 5],
      ['9 Sedge Lane', 0, 7],
      ['27 Heron Court', 1, 6],
      ['88 Mill Street', 0, 7],
    ]);
    expect(
      readDesk(db, new Date('2026-12-24T12:00:00'), 'heron').rows.map(({ title }) => title),
    ).toEqual(['27 Heron Court']);
    expect(readDesk(db, new Date('2026-12-24T12:00:00'), '').cards).toEqual([]);
  });

  it('keeps a job at work until its inspection period, or its own day, is over, and finds words in any case', () => {
    const booked = demo();
    const put = (id: string, title: string, inspectionPeriodEndsOn?: string) => {
      const { inspectionPeriodEndsOn: _period, ...job } = booked.job;
      const period = inspectionPeriodEndsOn ? { inspectionPeriodEndsOn } : {};
      const scheduledFor = '2026-11-03T14:00:00-08:00';
      storeInspection(db, { ...booked, job: { ...job, id, title, scheduledFor, ...period } }, NOW);
    };
    put('a', '1 Élan Way');
    put('b', '2 Test Way', '2026-11-12');
    const atWork = (day: string) => jobsAtWork(db, day, 10).map(({ id }) => id);
    expect(atWork('2026-11-03').sort()).toEqual(['a', 'b']);
    expect(atWork('2026-11-04')).toEqual(['b']);
    expect(atWork('2026-11-12')).toEqual(['b']);
    expect(atWork('2026-11-13')).toEqual([]);
    const found = (words: string) => findJobs(db, words, 10).jobs.map(({ id }) => id);
    expect(found(' élan')).toEqual(['a']);
    expect(found('WAY')).toEqual(['a', 'b']);
    expect(findJobs(db, 'way', 1)).toMatchObject({ total: 2, jobs: [{ id: 'a' }] });
    expect(found('100%')).toEqual([]);
  });

  it('lists every other job when one cannot be worked out', () => {
    for (const name of demoNames) storeInspection(db, demo(name), NOW);
    db.exec(`UPDATE runs SET body = '{"id":"R1"}' WHERE job_id = 'demo-alder-bend'`);
    const log = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const desk = readDesk(db, new Date('2026-11-04T12:00:00'), '');
    expect(log).toHaveBeenCalledTimes(1);
    log.mockRestore();
    expect(desk.cards).toHaveLength(6);
    expect(desk.cards.find(({ id }) => id === 'demo-alder-bend')!.waits).toMatch(
      /cannot be worked out/,
    );
  });

  it('takes a job off the list, keeps all of it, and brings it back with its file', () => {
    storeInspection(db, demo(), NOW);
    expect(removeJob(db, 'demo-alder-bend', NOW)).toBe(true);
    expect(loadInspection(db, 'demo-alder-bend')).toBeNull();
    expect(readDesk(db, new Date('2026-11-04T12:00:00'), '').total).toBe(0);
    const other = { ...demo(), decisions: [{ id: 'd', kind: 'k', reason: 'r' }] };
    expect(storeInspection(db, other, NOW)).toBe('conflict');
    expect(loadInspection(db, 'demo-alder-bend')).toBeNull();
    expect(storeInspection(db, demo(), NOW)).toBe('known');
    expect(loadInspection(db, 'demo-alder-bend')).not.toBeNull();
  });
});
