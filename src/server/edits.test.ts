import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { applyEdits, type Edit, setupOf, valueAt } from '#core/model/job/edits';
import type { Entry } from '#core/model/log/entry';
import { demoInspection } from '#core/testing/demo-inspections';
import { openDatabase } from './database';
import { listEdits, listOverwritten, storeEdits, storeOwnEdits } from './edits';
import { logEntries } from './entries';
import { loadInspection, loadStored, storeInspection } from './inspections';
import { beginEra, installationOf, timeOf } from './installation';
import { CHERT } from './testing/people';

const JOB = 'demo-alder-bend';
const alder = demoInspection('alder-bend');
let folder: string;
let db: Database;
let clock = 0;
const now = () => new Date(Date.parse('2026-11-03T09:00:00Z') + (clock += 1000)).toISOString();
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chert-'));
  db = openDatabase(join(folder, 'chert.db'));
  storeInspection(db, alder, now());
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true });
});

let changes = 0;
const revNow = () => loadStored(db, JOB)!.rev;
const send = (
  device: string,
  edits: readonly Edit[],
  more: { id?: string; base?: number; asOf?: string } = {},
) =>
  storeEdits(
    db,
    JOB,
    {
      id: `c${(changes += 1)}`,
      device,
      saidAt: now(),
      base: revNow(),
      edits,
      caller: CHERT,
      ...more,
    },
    now(),
  );
const year = (value: number): Edit => ({ path: ['property', 'yearBuilt'], value });
const bathrooms = (value: number): Edit => ({ path: ['property', 'bathrooms'], value });
const facts = () => loadInspection(db, JOB)!;

describe('facts of several devices', () => {
  it('stand field by field: five devices, 200 acknowledged changes over what each saw first, none lost', () => {
    const base = revNow();
    const decision = (id: string) => ({ id, kind: 'note', reason: id });
    const paths = Array.from({ length: 200 }, (_, index) => ['decisions', `d${index}`]);
    for (const [index, path] of paths.entries()) {
      const outcome = send(`device ${index % 5}`, [{ path, value: decision(path[1]!) }], { base });
      expect(outcome.outcome).toBe('stored');
    }
    const kept = facts().decisions.map(({ id }) => id);
    for (const [, id] of paths) expect(kept).toContain(id);
    expect(listOverwritten(db, JOB)).toEqual([]);
    expect(revNow()).toBe(base + 200);
  });

  it('leave alone what they do not name: an edit over an old state takes nothing back', () => {
    const base = revNow();
    send('one', [year(1950)], { base });
    send('two', [bathrooms(3)], { base });
    expect(facts().property).toMatchObject({ yearBuilt: 1950, bathrooms: 3 });
    expect(facts().runs).toEqual(alder.runs);
  });

  it('of two that set one field unseen, the later stands and both are told; old values can be read', () => {
    const base = revNow();
    send('one', [year(1950)], { base });
    send('two', [year(1985)], { base });
    expect(facts().property.yearBuilt).toBe(1985);
    expect(listOverwritten(db, JOB)).toMatchObject([
      {
        path: ['property', 'yearBuilt'],
        value: 1985,
        device: 'two',
        over: { value: 1950, device: 'one' },
      },
    ]);
    // Who has seen the other's word changes it knowingly.
    send('one', [year(1962)]);
    expect(listOverwritten(db, JOB)).toHaveLength(1);
    expect(listEdits(db, JOB).map(({ was, value }) => [was, value])).toEqual([
      [1985, 1962],
      [1950, 1985],
      [alder.property.yearBuilt, 1950],
    ]);
  });

  it('are laid once, however often a change is sent after an answer was lost', () => {
    const first = send('one', [year(1950)], { id: 'same' });
    send('two', [year(1985)]);
    const again = send('one', [year(1950)], { id: 'same', base: 1 });
    expect([first.outcome, again.outcome]).toEqual(['stored', 'known']);
    expect(facts().property.yearBuilt).toBe(1985);
  });

  it('offered again after a restore give way to what was said since', () => {
    const asOf = now();
    send('two', [year(1985)]);
    const again = send('one', [year(1950), bathrooms(4)], { base: 1, asOf });
    expect(again.isOtherwise).toBe(true);
    expect(facts().property).toMatchObject({ yearBuilt: 1985, bathrooms: 4 });
  });

  it('are refused whole, with the path, when the job would not be whole; nothing is stored', () => {
    const before = loadStored(db, JOB)!;
    const bad = () =>
      send('one', [bathrooms(2), { path: ['property', 'yearBuilt'], value: 'old' }]);
    expect(bad).toThrow(
      expect.objectContaining({
        status: 400,
        faults: [expect.objectContaining({ path: 'property.yearBuilt' })],
      }) as never,
    );
    expect(loadStored(db, JOB)).toEqual(before);
    expect(() =>
      storeEdits(
        db,
        'nix',
        { id: 'x', device: 'd', saidAt: now(), base: 1, edits: [year(1)], caller: CHERT },
        now(),
      ),
    ).toThrow(expect.objectContaining({ status: 404 }) as never);
  });

  it('cannot be edited or deleted where they are taken down', () => {
    send('one', [year(1950)]);
    expect(() => db.exec(`UPDATE edits SET value = '1'`)).toThrow(/append-only/);
    expect(() => db.exec('DELETE FROM edits')).toThrow(/append-only/);
  });
});

describe('a second run begun on two devices at once', () => {
  it('is two runs, each with its own log; the second gets the next free label', async () => {
    const base = revNow();
    const run = (id: string) => ({ ...setupOf(alder.runs[0]!), id, label: 'R2' });
    const access = (id: string) => ({ ...alder.accessPoints[0]!, id, label: 'Q' });
    for (const device of ['one', 'two']) {
      const outcome = send(
        device,
        [
          { path: ['accessPoints', `access-${device}`], value: access(`access-${device}`) },
          { path: ['runs', `run-${device}`], value: run(`run-${device}`) },
        ],
        { base },
      );
      expect(outcome.isOtherwise).toBe(device === 'two');
      const note: Entry = {
        id: 'n1',
        at: now(),
        pass: 'out',
        readingFt: 1,
        kind: 'note',
        note: device,
      };
      await logEntries(db, JOB, `run-${device}`, [note], now());
    }
    const { runs, accessPoints } = facts();
    expect(runs.slice(1).map(({ id, label, entries }) => [id, label, entries[0]?.note])).toEqual([
      ['run-one', 'R2', 'one'],
      ['run-two', 'R3', 'two'],
    ]);
    expect(accessPoints.slice(-2).map(({ label }) => label)).toEqual(['Q', 'E']);
  });

  it('makes neither its reference: the run that reached the main is the line', () => {
    storeInspection(
      db,
      {
        ...demoInspection('mill-street'),
        job: { ...demoInspection('mill-street').job, id: 'new' },
      },
      now(),
    );
    const value = setupOf(alder.runs[0]!);
    const sent = (id: string, edits: readonly Edit[]) =>
      storeEdits(
        db,
        'new',
        { id, device: 'one', saidAt: now(), base: 1, edits, caller: CHERT },
        now(),
      );
    sent('a', [{ path: ['accessPoints', 'A'], value: alder.accessPoints[0] }]);
    for (const id of ['R7', 'R8'])
      sent(id, [{ path: ['runs', id], value: { ...value, id, accessPointId: 'A' } }]);
    expect(loadInspection(db, 'new')!.runs.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['R7', 'R8']),
    );
    expect(loadInspection(db, 'new')!.job.referenceRunId).toBe(
      demoInspection('mill-street').job.referenceRunId,
    );
  });
});

describe('the server’s own edits', () => {
  it('are laid over the job as it stands, not as it was read', () => {
    send('one', [year(1950)]);
    const numbers = { id: 'issued-numbers', kind: 'issued-numbers', reason: '', numbers: { F: 1 } };
    storeOwnEdits(db, JOB, [{ path: ['decisions', numbers.id], value: numbers }], {
      id: 'i',
      now: now(),
    });
    send('two', [bathrooms(3)], { base: 1 });
    expect(facts().property).toMatchObject({ yearBuilt: 1950, bathrooms: 3 });
    expect(valueAt(facts(), ['decisions', numbers.id])).toEqual(numbers);
    expect(facts()).toEqual(
      applyEdits(alder, [
        year(1950),
        { path: ['decisions', numbers.id], value: numbers },
        bathrooms(3),
      ]),
    );
  });
});

describe('who this server is', () => {
  it('stays, and begins a new era only when it is told to', () => {
    const before = installationOf(db);
    expect(installationOf(db)).toEqual(before);
    beginEra(db);
    const after = installationOf(db);
    expect(after.id).toBe(before.id);
    expect(after.era > before.era).toBe(true);
  });

  it('counts a time that never goes back', () => {
    const nowMs = Date.parse('2026-11-03T09:00:00Z');
    expect(timeOf(db, nowMs)).toBe(nowMs);
    expect(timeOf(db, nowMs - 86_400_000)).toBe(nowMs);
    expect(timeOf(db, nowMs + 500)).toBe(nowMs + 500);
  });
});
