import { rmSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { pieceId } from '#core/interchange/recording-piece';
import { demoInspection } from '#core/testing/demo-inspections';
import { madeWebm } from '#core/testing/webm';
import { storeInspection } from '../inspections';
import { revOf } from '../jobs';
import { freshDatabase } from '../testing/fresh-database';
import { placeOfContent } from './folder-store';
import { MediaGone, storeMedia } from './media';
import { findRecording, frontOf, readClip, readFronted, readRecording } from './recordings';
import { hashOf } from './store';

const NOW = '2026-11-03T09:00:00.000Z';
const JOB = 'demo-alder-bend';
const its = freshDatabase();
beforeEach(() => storeInspection(its.db, demoInspection('alder-bend'), NOW));
const put = (number: number, bytes: readonly number[], recording = 'V') =>
  storeMedia(
    its.db,
    its.stores,
    { jobId: JOB, id: pieceId(recording, number) },
    { type: number === 0 ? 'video/webm' : 'application/octet-stream', bytes: Buffer.from(bytes) },
    NOW,
  );

describe('a recording in pieces', () => {
  it('is whole as far as its pieces are in a row, and read across them', async () => {
    const rev = revOf(its.db, JOB);
    await put(0, [1, 2, 3]);
    await put(1, [4, 5]);
    await put(3, [9]);
    await put(0, [7], 'W');
    const stored = findRecording(its.db, JOB, 'V')!;
    expect(stored).toMatchObject({ type: 'video/webm', bytes: 5 });
    const read = async (from: number, to: number) => [
      ...(await readRecording(its.stores, stored, { from, to })),
    ];
    expect(await read(0, 4)).toEqual([1, 2, 3, 4, 5]);
    expect(await read(2, 3)).toEqual([3, 4]);
    await put(2, [6, 7, 8]);
    expect(findRecording(its.db, JOB, 'V')!.bytes).toBe(9);
    // Four seconds of picture tell no page anything new.
    expect(revOf(its.db, JOB)).toBe(rev);
  });
  it('takes a piece once, and no other in its place', async () => {
    expect((await put(0, [1])).outcome).toBe('stored');
    expect((await put(0, [1])).outcome).toBe('known');
    expect((await put(0, [2])).outcome).toBe('conflict');
  });
  it('is not there without its beginning, and says when a part of it is gone', async () => {
    await put(1, [4, 5]);
    expect(findRecording(its.db, JOB, 'V')).toBeNull();
    await put(0, [1]);
    const stored = findRecording(its.db, JOB, 'V')!;
    rmSync(placeOfContent(its.folder, hashOf(Buffer.from([4, 5]))));
    const read = readRecording(its.stores, stored, { from: 0, to: 2 });
    await expect(read).rejects.toThrow(MediaGone);
  });

  it('gets a length and a table of contents in front once it is not being made any more, read from anywhere', async () => {
    const webm = madeWebm([
      { atMs: 0, blocks: [[2, 0, true, [1, 2, 3]]] },
      { atMs: 3000, blocks: [[2, 0, true, [4, 5, 6]]] },
    ]);
    const cut = webm.length - 30;
    await put(0, [...webm.subarray(0, cut)]);
    await put(1, [...webm.subarray(cut)]);
    const stored = findRecording(its.db, JOB, 'V')!;
    const nowMs = Date.parse(NOW);
    expect(await frontOf(its.stores, stored, nowMs + 3000)).toBeNull();
    const front = (await frontOf(its.stores, stored, nowMs + 60_000))!;
    const size = front.front.length + front.rest.to - front.rest.from;
    const whole = await readFronted(its.stores, stored, front, { from: 0, to: size - 1 });
    expect([...whole.subarray(front.front.length)]).toEqual([
      ...webm.subarray(front.rest.from, front.rest.to),
    ]);
    for (const from of [0, front.front.length - 2, front.front.length, size - 1])
      for (const to of [from, Math.min(size - 1, from + 40), size - 1])
        expect(await readFronted(its.stores, stored, front, { from, to })).toEqual(
          whole.slice(from, to + 1),
        );
    expect((await readClip(its.stores, stored, 3000, 4000))!.length).toBeLessThan(size);
    await put(0, [1, 2, 3], 'OTHER');
    const other = findRecording(its.db, JOB, 'OTHER')!;
    expect(await frontOf(its.stores, other, nowMs + 60_000)).toBeNull();
    expect(await readClip(its.stores, other, 0, 1000)).toBeNull();
  });
});
