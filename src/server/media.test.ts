import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { mediaTypeOf } from '#core/formats/media-type';
import { readInspectionFile } from '#core/formats/inspection-file';
import { checkFacts } from '#core/job/facts';
import type { Inspection } from '#core/job/inspection';
import { DEFAULT_PREFERENCES } from '#core/site/equipment';
import { openDatabase } from './database';
import { appendEntries } from './entries';
import { endpoint } from './http/endpoint';
import { loadInspection, putRun, storeFacts, storeInspection } from './inspections';
import { findMedia, storeMedia } from './media';
import { putPart } from './parts';
import { loadPreferences, storePreferences } from './preferences';

const NOW = '2026-11-03T00:00:00Z';
const JOB = 'demo-alder-bend';
const PNG = readFileSync('docs/screenshots/desk.png');
let folder: string;
let db: Database;
let inspection: Inspection;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chert-'));
  db = openDatabase(join(folder, 'chert.db'));
  const read = readInspectionFile(readFileSync('demo/alder-bend.chert.json', 'utf8'));
  if (!read.ok) throw new Error('demo');
  inspection = read.value;
  storeInspection(db, inspection, NOW);
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true });
});

describe('stills and voice notes', () => {
  it.each<[string, Buffer, string | null]>([
    ['a PNG', PNG, 'image/png'],
    ['a JPEG', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1]), 'image/jpeg'],
    ['a drawing with script', Buffer.from('<svg onload="x"/>'), null],
    ['a page', Buffer.from('<!doctype html><script>1</script>'), null],
    ['nothing', Buffer.alloc(0), null],
    ['a recording', Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d', 'hex'), 'audio/webm'],
  ])('are told by their content: %s', (_, bytes, type) => {
    expect(mediaTypeOf(bytes)).toBe(type);
  }); // prettier-ignore

  it('are stored once, found again whole, and never overwritten', () => {
    const place = { jobId: JOB, id: '../../evil' };
    const store = (bytes: Buffer) => storeMedia(db, folder, place, { type: 'image/png', bytes }, NOW);
    expect([store(PNG), store(PNG), store(Buffer.from('x'))]).toEqual(['stored', 'known', 'conflict']);
    expect(findMedia(db, folder, JOB, place.id)?.bytes.equals(PNG)).toBe(true);
    expect(findMedia(db, folder, JOB, 'nix')).toBeNull();
    const [jobFolder] = readdirSync(join(folder, 'media'));
    expect(readdirSync(join(folder, 'media', jobFolder!))).toEqual([expect.stringMatching(/^[0-9a-f]{40}$/)]);
  }); // prettier-ignore

  it('leave nothing behind when the disk does not take them', () => {
    expect(() =>
      storeMedia(
        db,
        join(folder, 'chert.db'),
        { jobId: JOB, id: 'a' },
        { type: 'image/png', bytes: PNG },
        NOW,
      ),
    ).toThrow();
    expect(findMedia(db, folder, JOB, 'a')).toBeNull();
  });
});

describe('facts and set-ups', () => {
  it('are changed in place, whole or not at all, and what they were is kept', () => {
    const change = { job: { client: 'R. Vale', complaint: null }, property: { yearBuilt: 1931 } };
    const checked = checkFacts(inspection, change);
    if (!checked.ok) throw new Error('facts');
    storeFacts(db, checked.value);
    const after = loadInspection(db, JOB)!;
    expect(after.job.client).toBe('R. Vale');
    expect(after.property.yearBuilt).toBe(1931);
    expect(after.runs).toEqual(inspection.runs);
    const traces = db.prepare('SELECT what, body FROM superseded').all() as { what: string; body: string }[];
    expect(traces.map(({ what }) => what)).toEqual(['jobs']);
    expect(JSON.parse(traces[0]!.body)).toMatchObject({ job: { client: inspection.job.client } });
  }); // prettier-ignore

  it.each<[string, unknown, string]>([
    ['a year in words', { property: { yearBuilt: 'old' } }, 'property.yearBuilt'],
    ['a period before the scope', { job: { inspectionPeriodEndsOn: '2001-01-01' } }, 'job.inspectionPeriodEndsOn'],
    ['text for the job', { job: 'x' }, 'job'],
    ['a span without an end', { spans: [{ fromAccessPointId: 'A' }] }, 'spans[0].toAccessPointId'],
    ['a list', [], ''],
    ['a tie to an entry that is not there', { ties: { T1: { id: 'T1', label: 'tee', sightings: [{ runId: 'R1', entryId: 'nix' }] } } }, 'ties[0].sightings[0].entryId'],
    ['a tie under another name', { ties: { T1: { id: 'T2', label: 'tee', sightings: [] } } }, 'ties.T1.id'],
    ['a decision without a reason', { decisions: { D1: { id: 'D1', kind: 'x' } } }, 'decisions.D1.reason'],
    ['a setting that is none', { settings: { mergeFt: 'far' } }, 'settings.mergeFt'],
    ['ties as text', { ties: 'x' }, 'ties'],
  ])('refuse %s with its path', (_, change, path) => {
    const checked = checkFacts(inspection, change);
    expect(!checked.ok && checked.faults.map((fault) => fault.path)).toContain(path);
  }); // prettier-ignore

  it('put ties and decisions by their ids, and take them out', () => {
    const { id: entryId } = inspection.runs[0]!.entries[0]!;
    const tie = { id: 'T1', label: 'tee', sightings: [{ runId: 'R1', entryId }] };
    const decision = { id: 'D1', kind: 'drop-suggestion', reason: 'not the same', key: 'k' };
    const put = (change: unknown, to = inspection) => {
      const checked = checkFacts(to, change);
      if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
      return checked.value;
    };
    const one = put({ ties: { T1: tie }, decisions: { D1: decision }, settings: { mergeFt: 3 } });
    storeFacts(db, one);
    expect(loadInspection(db, JOB)).toMatchObject({ ties: [tie], decisions: [decision], settings: { mergeFt: 3 } }); // prettier-ignore
    const two = put({ ties: { T1: { ...tie, label: 'wye' }, T2: { ...tie, id: 'T2' } } }, one);
    expect(two.ties.map(({ id, label }) => `${id} ${label}`)).toEqual(['T1 wye', 'T2 tee']);
    const none = put({ ties: { T1: null, T2: null }, decisions: { D1: null }, settings: { mergeFt: null } }, two); // prettier-ignore
    expect([none.ties, none.decisions, none.settings]).toEqual([[], [], {}]);
  });

  it('never let a form change the id or the reference run', () => {
    const checked = checkFacts(inspection, { job: { id: 'other', referenceRunId: 'R9' } });
    expect(checked.ok && [checked.value.job.id, checked.value.job.referenceRunId]).toEqual([
      JOB,
      'R1',
    ]);
  });

  it('put a changed access and a changed run in the place of the old, the log untouched', () => {
    const access = { ...inspection.accessPoints[0]!, usable: false, obstacle: 'cap stuck' };
    expect(putPart(db, 'access_points', JOB, access)).toBe('stored');
    const { entries: _entries, ...setup } = inspection.runs[0]!;
    expect(putRun(db, JOB, { ...setup, facing: 'upstream' })).toBe('stored');
    expect(putRun(db, JOB, { ...setup, facing: 'upstream' })).toBe('known');
    const after = loadInspection(db, JOB)!;
    expect(after.accessPoints[0]).toEqual(access);
    expect(after.accessPoints).toHaveLength(inspection.accessPoints.length);
    expect(after.runs[0]).toEqual({ ...inspection.runs[0], facing: 'upstream' });
    expect(db.prepare('SELECT count(*) AS count FROM superseded').get()).toEqual({ count: 2 });
  });
});

describe('preferences', () => {
  it('are the defaults until they are set', () => {
    expect(loadPreferences(db)).toEqual(DEFAULT_PREFERENCES);
    const mine = { ...DEFAULT_PREFERENCES, ownWords: [{ says: 'spaghetti', means: 'fine roots' }] };
    storePreferences(db, mine);
    storePreferences(db, mine);
    expect(loadPreferences(db)).toEqual(mine);
  });
});

describe('a full disk', () => {
  it('is answered as such, stores nothing, and harms nothing', async () => {
    const pages = db.pragma('page_count', { simple: true }) as number;
    db.pragma(`max_page_count = ${pages}`);
    const entries = Array.from({ length: 400 }, (_, index) => ({
      id: `f${index}`, at: NOW, pass: 'out' as const, readingFt: 1, kind: 'note' as const, note: 'x'.repeat(200),
    })); // prettier-ignore
    const write = endpoint(() => {
      appendEntries(db, JOB, 'R1', entries, NOW);
      return new Response('stored');
    });
    const response = await write({} as never);
    expect(response.status).toBe(507);
    expect(await response.json()).toMatchObject({ error: { code: 'disk-full' } });
    expect(loadInspection(db, JOB)!.runs[0]!.entries).toEqual(inspection.runs[0]!.entries);
    db.pragma('max_page_count = 1000000');
    expect((await write({} as never)).status).toBe(200);
  });
});
