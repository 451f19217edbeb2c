import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { pieceId } from '#core/interchange/recording-piece';
import { demoInspection } from '#core/testing/demo-inspections';
import { madeWebm } from '#core/testing/webm';
import { openDatabase } from './database';
import { storeInspection } from './inspections';
import { revOf } from './jobs';
import { MediaGone, pathOfMedia, storeMedia } from './media';
import { findRecording, frontOf, readClip, readFronted, readRecording } from './recordings';

const NOW = '2026-11-03T09:00:00.000Z';
const JOB = 'demo-alder-bend';
let data: string;
let db: Database;
beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'chert-'));
  db = openDatabase(join(data, 'chert.db'));
  storeInspection(db, demoInspection('alder-bend'), NOW);
});
afterEach(() => {
  db.close();
  rmSync(data, { recursive: true });
});
const put = (number: number, bytes: readonly number[], recording = 'V') =>
  storeMedia(
    db,
    data,
    { jobId: JOB, id: pieceId(recording, number) },
    { type: number === 0 ? 'video/webm' : 'application/octet-stream', bytes: Buffer.from(bytes) },
    NOW,
  );

describe('a recording in pieces', () => {
  it('is whole as far as its pieces are in a row, and read across them', () => {
    const rev = revOf(db, JOB);
    put(0, [1, 2, 3]);
    put(1, [4, 5]);
    put(3, [9]);
    put(0, [7], 'W');
    const stored = findRecording(db, JOB, 'V')!;
    expect(stored).toMatchObject({ type: 'video/webm', bytes: 5 });
    const read = (from: number, to: number) => [...readRecording(data, JOB, stored, { from, to })];
    expect(read(0, 4)).toEqual([1, 2, 3, 4, 5]);
    expect(read(2, 3)).toEqual([3, 4]);
    put(2, [6, 7, 8]);
    expect(findRecording(db, JOB, 'V')!.bytes).toBe(9);
    // Four seconds of picture tell no page anything new.
    expect(revOf(db, JOB)).toBe(rev);
  });
  it('takes a piece once, and no other in its place', () => {
    expect(put(0, [1]).outcome).toBe('stored');
    expect(put(0, [1]).outcome).toBe('known');
    expect(put(0, [2]).outcome).toBe('conflict');
  });
  it('is not there without its beginning, and says when a part of it is gone', () => {
    put(1, [4, 5]);
    expect(findRecording(db, JOB, 'V')).toBeNull();
    put(0, [1]);
    const stored = findRecording(db, JOB, 'V')!;
    rmSync(pathOfMedia(data, JOB, pieceId('V', 1)).file);
    expect(() => readRecording(data, JOB, stored, { from: 0, to: 2 })).toThrow(MediaGone);
  });

  it('gets a length and a table of contents in front once it is not being made any more, read from anywhere', async () => {
    const webm = madeWebm([
      { atMs: 0, blocks: [[2, 0, true, [1, 2, 3]]] },
      { atMs: 3000, blocks: [[2, 0, true, [4, 5, 6]]] },
    ]);
    const cut = webm.length - 30;
    put(0, [...webm.subarray(0, cut)]);
    put(1, [...webm.subarray(cut)]);
    const stored = findRecording(db, JOB, 'V')!;
    const nowMs = Date.parse(NOW);
    expect(await frontOf(data, JOB, stored, nowMs + 3000)).toBeNull();
    const front = (await frontOf(data, JOB, stored, nowMs + 60_000))!;
    const size = front.front.length + front.rest.to - front.rest.from;
    const whole = readFronted(data, JOB, stored, front, { from: 0, to: size - 1 });
    expect([...whole.subarray(front.front.length)]).toEqual([
      ...webm.subarray(front.rest.from, front.rest.to),
    ]);
    for (const from of [0, front.front.length - 2, front.front.length, size - 1])
      for (const to of [from, Math.min(size - 1, from + 40), size - 1])
        expect(readFronted(data, JOB, stored, front, { from, to })).toEqual(
          whole.slice(from, to + 1),
        );
    expect((await readClip(data, JOB, stored, 3000, 4000))!.length).toBeLessThan(size);
    put(0, [1, 2, 3], 'OTHER');
    const other = findRecording(db, JOB, 'OTHER')!;
    expect(await frontOf(data, JOB, other, nowMs + 60_000)).toBeNull();
    expect(await readClip(data, JOB, other, 0, 1000)).toBeNull();
  });
});
