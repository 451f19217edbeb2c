import { unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import { storeInspection } from './inspections';
import { storeMedia } from './media/media';
import { freshDatabase } from './testing/fresh-database';
import { PNG, withStill } from './testing/with-still';
import { packJob, unpackJob } from './zip';

const its = freshDatabase();
const put = (inspection: Inspection) => storeInspection(its.db, inspection, '2026-11-03T00:00:00Z');
const keepStill = () =>
  storeMedia(
    its.db,
    its.stores,
    { jobId: withStill.job.id, id: 'p1' },
    { type: 'image/png', bytes: PNG },
    'now',
  );

const packed = (files: Record<string, Uint8Array>) =>
  Buffer.from(zipSync({ 'inspection.chert.json': new Uint8Array([123, 125]), ...files }));
/** A zip whose directory says that its still has ten bytes; it unpacks to a megabyte. */
function lying(): Buffer {
  const still = Buffer.concat([PNG, Buffer.alloc(1024 * 1024)]);
  const zip = packed({ 'media/x': still });
  const size = Buffer.alloc(4);
  size.writeUInt32LE(still.byteLength);
  for (let at = zip.indexOf(size); at >= 0; at = zip.indexOf(size)) zip.writeUInt32LE(10, at);
  return zip;
}

describe('a job as a zip', () => {
  it('comes back with its stills byte for byte, and is the same each time', async () => {
    put(withStill);
    await keepStill();
    const pack = () => packJob(its.db, its.stores, withStill, withStill, (id) => id);
    const zip = await pack();
    expect((await pack()).equals(zip)).toBe(true);
    const { text, media } = await unpackJob(zip);
    expect(text).toBe(writeInspectionFile(withStill));
    const all = [];
    for await (const one of media()) all.push(one);
    expect(all).toEqual([{ id: 'p1', type: 'image/png', bytes: PNG }]);
  });

  it('names the stills that are gone', async () => {
    put(withStill);
    const files = unzipSync(
      new Uint8Array(await packJob(its.db, its.stores, withStill, withStill, (id) => id)),
    );
    expect(Buffer.from(files['missing.txt']!).toString()).toContain('p1');
  });

  it.each<[string, () => Buffer, RegExp]>([
    ['no zip', () => Buffer.from('hello'), /a whole zip file/],
    [
      'no inspection file',
      () => Buffer.from(zipSync({ 'other.txt': new Uint8Array([1]) })),
      /expected inspection\.chert\.json in it/,
    ],
    [
      'a still that is none',
      () => packed({ 'media/x': new Uint8Array([1, 2]) }),
      /media\/x, which is neither/,
    ],
    [
      'a file outside of its folder',
      () => packed({ '../evil': new Uint8Array([1]) }),
      /a whole zip file/,
    ],
    [
      'more files than it may have',
      () =>
        packed(
          Object.fromEntries(
            Array.from({ length: 2001 }, (_, at) => [`media/${at}`, new Uint8Array([1])]),
          ),
        ),
      /at most 2000 files/,
    ],
    [
      'a file that blows up',
      () => packed({ 'media/x': new Uint8Array(9 * 1024 * 1024) }),
      /100 times its own size/,
    ],
    [
      'a still that is too large',
      () => packed({ 'media/x': new Uint8Array(11 * 1024 * 1024) }),
      /media\/x of at most 10 MB/,
    ],
    ['a directory that lies of a size', () => lying(), /a whole zip file/],
    ['a zip cut short', () => packed({ 'media/x': PNG }).subarray(0, 60), /a whole zip file/],
  ])('refuses %s, and says why', async (_, make, says) => {
    await expect(unpackJob(make())).rejects.toThrow(says);
  });

  it('takes a name that was never encoded for what it is', async () => {
    const { media } = await unpackJob(packed({ 'media/100%': PNG }));
    for await (const { id } of media()) expect(id).toBe('100%');
  });
});
