import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { readInspectionFile } from '#core/interchange/inspection-file';
import { mediaTypeOf } from '#core/interchange/media-type';
import type { Inspection } from '#core/model/job/inspection';
import { DEFAULT_PREFERENCES } from '#core/site/equipment';
import { openDatabase } from '../database';
import { appendEntries } from '../entries';
import { endpoint } from '../http/endpoint';
import { answerMedia } from '../http/media';
import { loadInspection, storeInspection } from '../inspections';
import { changePreferences, loadPreferences, storePreferences } from '../preferences';
import { writeWhole } from '../write-whole';
import { placeOfContent } from './folder-store';
import { findMedia, readMedia, storeMedia } from './media';
import { mediaIn } from './places';
import { loadStills } from './stills';
import { hashOf, type MediaStores } from './store';

const NOW = '2026-11-03T00:00:00Z';
const JOB = 'demo-alder-bend';
const PNG = readFileSync('docs/screenshots/desk.png');
let folder: string;
let db: Database;
let inspection: Inspection;
let stores: MediaStores;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'chert-'));
  stores = mediaIn(folder);
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
    [
      'a JPEG',
      Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1]),
      'image/jpeg',
    ],
    ['a drawing with script', Buffer.from('<svg onload="x"/>'), null],
    ['a page', Buffer.from('<!doctype html><script>1</script>'), null],
    ['nothing', Buffer.alloc(0), null],
    [
      'a recording',
      Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d', 'hex'),
      'audio/webm',
    ],
  ])('are told by their content: %s', (_, bytes, type) => {
    expect(mediaTypeOf(bytes)).toBe(type);
  });

  it('are stored once, found again whole, and never overwritten', async () => {
    const place = { jobId: JOB, id: '../../evil' };
    const store = async (bytes: Buffer) =>
      (await storeMedia(db, stores, place, { type: 'image/png', bytes }, NOW)).outcome;
    expect([await store(PNG), await store(PNG), await store(Buffer.from('x'))]).toEqual([
      'stored',
      'known',
      'conflict',
    ]);
    expect((await findMedia(db, stores, JOB, place.id))?.bytes.equals(PNG)).toBe(true);
    expect(await findMedia(db, stores, JOB, 'nix')).toBeNull();
    const files = readdirSync(join(folder, 'media'), { recursive: true });
    expect(files.sort()).toEqual([
      hashOf(PNG).slice(0, 2),
      `${hashOf(PNG).slice(0, 2)}/${hashOf(PNG)}`,
    ]);
  });

  it('leave nothing behind when the disk does not take them', async () => {
    await expect(
      storeMedia(
        db,
        mediaIn(join(folder, 'chert.db')),
        { jobId: JOB, id: 'a' },
        { type: 'image/png', bytes: PNG },
        NOW,
      ),
    ).rejects.toThrow();
    expect(await findMedia(db, stores, JOB, 'a')).toBeNull();
  });
});

describe('a file', () => {
  it('that the disk takes only in part is refused as a full disk, and leaves nothing behind', () => {
    const path = join(folder, 'x');
    let left = 5;
    const write = (_handle: number, _bytes: Uint8Array, _offset: number, length: number) => {
      const count = Math.min(left, length);
      left -= count;
      return count;
    };
    const full = () => writeWhole(path, PNG, { write: write as never });
    expect(full).toThrow(expect.objectContaining({ code: 'ENOSPC' }) as never);
    expect(readdirSync(folder).filter((name) => name.startsWith('x'))).toEqual([]);
  });

  it('is written whole though the disk takes it bit by bit', () => {
    const path = join(folder, 'x');
    const bits = (handle: number, bytes: Uint8Array, offset: number, length: number) =>
      writeSync(handle, bytes, offset, Math.min(length, 1000));
    writeWhole(path, PNG, { write: bits as never });
    expect(readFileSync(path).equals(PNG)).toBe(true);
  });
});

describe('a still whose file is gone, or cut short', () => {
  const place = { jobId: JOB, id: 'p1' };
  const store = async () =>
    (await storeMedia(db, stores, place, { type: 'image/png', bytes: PNG }, NOW)).outcome;
  const pathOf = () => placeOfContent(folder, hashOf(PNG));

  it('says so where it stood, is no still of a report, and comes back when it is sent again', async () => {
    expect(await store()).toBe('stored');
    for (const spoil of [
      () => rmSync(pathOf()),
      () => writeFileSync(pathOf(), PNG.subarray(0, 99)),
    ]) {
      spoil();
      expect(await findMedia(db, stores, JOB, 'p1')).toBeNull();
      const shown = await answerMedia(() => readMedia(db, stores, JOB, 'p1'), 'private');
      expect([shown.status, shown.headers.get('content-type')]).toEqual([410, 'image/svg+xml']);
      expect(await shown.text()).toContain('This still is gone');
      expect((await loadStills(db, stores, JOB, ['p1'])).size).toBe(0);
      expect(await store()).toBe('stored');
      expect((await findMedia(db, stores, JOB, 'p1'))?.bytes.equals(PNG)).toBe(true);
    }
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

  it('take a change of one part beside a change of another, and none that leaves them unwhole', () => {
    const ownWords = [{ says: 'spaghetti', means: 'fine roots' }];
    const equipment = { ...DEFAULT_PREFERENCES.equipment, rodFt: 150 };
    changePreferences(db, { ownWords }, () => undefined);
    changePreferences(db, { equipment }, () => undefined);
    expect(loadPreferences(db)).toMatchObject({ ownWords, equipment: { rodFt: 150 } });
    const refuse = () => {
      throw new Error('not whole');
    };
    expect(() => changePreferences(db, { ownWords: [] }, refuse)).toThrow('not whole');
    expect(loadPreferences(db).ownWords).toEqual(ownWords);
  });
});

describe('a full disk', () => {
  it('is answered as such, stores nothing, and harms nothing', async () => {
    const pages = db.pragma('page_count', { simple: true }) as number;
    db.pragma(`max_page_count = ${pages}`);
    const entries = Array.from({ length: 400 }, (_, index) => ({
      id: `f${index}`,
      at: NOW,
      pass: 'out' as const,
      readingFt: 1,
      kind: 'note' as const,
      note: 'x'.repeat(200),
    }));
    const write = endpoint(() => {
      appendEntries(db, JOB, 'R1', entries, NOW);
      return new Response('stored');
    });
    const asked = { request: new Request('http://127.0.0.1/'), locals: { who: null } } as never;
    const response = await write(asked);
    expect(response.status).toBe(507);
    expect(await response.json()).toMatchObject({ error: { code: 'disk-full' } });
    expect(loadInspection(db, JOB)!.runs[0]!.entries).toEqual(inspection.runs[0]!.entries);
    db.pragma('max_page_count = 1000000');
    expect((await write(asked)).status).toBe(200);
  });
});
