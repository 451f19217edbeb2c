import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { demoInspection } from '#core/testing/demo-inspections';
import { backUp, readManifest, verifyBackup } from '../backup/backup';
import { restore } from '../backup/restore';
import { openData } from '../database';
import { storeInspection } from '../inspections';
import { ADDRESS, freshBucket, JOB, NOW } from '../testing/with-bucket';
import { PNG } from '../testing/with-still';
import { folderStore, placeOfContent } from './folder-store';
import { findMedia, readMedia, storeMedia } from './media';
import { listPlaces, moveMedia } from './move';
import { mediaIn } from './places';
import { hashOf, IN_FOLDER, type MediaStores, StoreTrouble } from './store';

const { its, bucket, made, put, pathOf } = freshBucket();

describe('switching over', () => {
  const other = Buffer.concat([PNG, Buffer.from('other')]);

  it('moves nothing until told; then everything, each content once, and back again', async () => {
    await put('p1', PNG);
    await put('same', PNG);
    await put('lost', other);
    rmSync(placeOfContent(its.folder, hashOf(other)));
    await put('p2', Buffer.from('new'), made.withBucket);
    // Started with the bucket: what was there is read where it is.
    expect((await readMedia(its.db, made.withBucket, JOB, 'p1'))!.bytes.equals(PNG)).toBe(true);
    expect([...bucket.objects.keys()]).toEqual([pathOf(Buffer.from('new'))]);
    const told: string[] = [];
    const moved = await moveMedia(its.db, made.withBucket, (done, of) =>
      told.push(`${done}/${of}`),
    );
    expect(moved).toEqual({
      contents: 1,
      lost: [expect.objectContaining({ sha256: hashOf(other) })],
    });
    expect(told).toEqual(['1/2', '2/2']);
    expect(bucket.objects.get(pathOf(PNG))!.equals(PNG)).toBe(true);
    expect(await its.stores.at(IN_FOLDER).sizeOf(hashOf(PNG))).toBeNull();
    for (const id of ['p1', 'same'])
      expect((await readMedia(its.db, made.withBucket, JOB, id))!.bytes.equals(PNG)).toBe(true);
    expect((await moveMedia(its.db, made.withBucket)).contents).toBe(0);
    expect(listPlaces(its.db)).toMatchObject([
      { place: IN_FOLDER, contents: 1 },
      { place: ADDRESS, contents: 2, bytes: PNG.length + 3 },
    ]);
    // And back, without the bucket's address in the environment: its rows tell it.
    expect((await moveMedia(its.db, its.stores)).contents).toBe(2);
    expect(bucket.objects.size).toBe(0);
    expect((await readMedia(its.db, its.stores, JOB, 'same'))!.bytes.equals(PNG)).toBe(true);
  });

  it('is ended by a bucket that stops to answer, with all that was moved in one place or the other', async () => {
    await put('p1', PNG);
    await put('p2', other);
    const once = moveMedia(its.db, made.withBucket, (done) => bucket.setDown(done === 1));
    await expect(once).rejects.toThrow(StoreTrouble);
    bucket.setDown(false);
    for (const id of ['p1', 'p2'])
      expect(await findMedia(its.db, made.withBucket, JOB, id)).not.toBeNull();
    expect((await moveMedia(its.db, made.withBucket)).contents).toBe(1);
    expect(bucket.objects.size).toBe(2);
  }, 20_000);

  it('is seen by who had asked where a content is just before it was moved', async () => {
    await put('p1', PNG);
    const { at, current } = made.withBucket;
    const late: MediaStores = {
      current,
      at: (place) =>
        place === IN_FOLDER
          ? {
              ...at(place),
              async read(sha256) {
                await moveMedia(its.db, made.withBucket);
                return at(place).read(sha256);
              },
            }
          : at(place),
    };
    expect((await readMedia(its.db, late, JOB, 'p1'))!.bytes.equals(PNG)).toBe(true);
  });
});

describe('a backup of what lies in a bucket', () => {
  const restoreInto = async (folder: string, name: string, from: string) => {
    mkdirSync(folder);
    const restored = await restore(from, name, folder, NOW);
    return { restored, db: openData(folder) };
  };

  it('holds it, and puts it into the data folder', async () => {
    await put('p1', PNG, made.withBucket);
    const folder = join(its.folder, 'backups');
    const name = await backUp(its.db, made.withBucket, { folder, at: NOW });
    expect(await verifyBackup(folder, name)).toEqual([]);
    const empty = join(its.folder, 'empty');
    const { restored, db } = await restoreInto(empty, name, folder);
    expect(restored).toMatchObject({ stills: 1, elsewhere: 0 });
    bucket.setDown(true);
    expect((await readMedia(db, mediaIn(empty, ADDRESS), JOB, 'p1'))!.bytes.equals(PNG)).toBe(true);
    db.close();
  });

  it('leaves it there where that is wanted, names it, and reads it from there afterwards', async () => {
    await put('p1', PNG, made.withBucket);
    await put('p2', Buffer.from('in the folder'));
    const folder = join(its.folder, 'backups');
    const wish = { folder, at: NOW, leavesBuckets: true };
    const name = await backUp(its.db, made.withBucket, wish);
    expect(readManifest(folder, name)).toMatchObject({
      media: [{ id: 'p2' }],
      elsewhere: [{ id: 'p1', place: ADDRESS }],
      missing: [],
    });
    const empty = join(its.folder, 'empty');
    const { restored, db } = await restoreInto(empty, name, folder);
    expect(restored).toMatchObject({ stills: 1, elsewhere: 1 });
    expect((await readMedia(db, mediaIn(empty), JOB, 'p1'))!.bytes.equals(PNG)).toBe(true);
    db.close();
  });

  it('is none while the bucket does not answer', async () => {
    await put('p1', PNG, made.withBucket);
    bucket.setDown(true);
    const folder = join(its.folder, 'backups');
    await expect(backUp(its.db, made.withBucket, { folder, at: NOW })).rejects.toThrow(
      StoreTrouble,
    );
    expect(readdirSync(folder)).toEqual([]);
  }, 20_000);
});

describe('a data folder of an earlier Chert', () => {
  it('has its files by job and id; they are put by content once, and none cut short is', async () => {
    const data = mkdtempSync(join(tmpdir(), 'chert-'));
    const db = openData(data);
    storeInspection(db, demoInspection('alder-bend'), NOW);
    const stores = mediaIn(data);
    const store = (id: string, bytes: Buffer) =>
      storeMedia(db, stores, { jobId: JOB, id }, { type: 'image/png', bytes }, NOW);
    const other = Buffer.from('another');
    await store('p1', PNG);
    await store('p2', PNG);
    await store('cut', other);
    db.close();
    rmSync(join(data, 'media'), { recursive: true });
    const earlier = (text: string) => hashOf(text).slice(0, 40);
    const folder = join(data, 'media', earlier(JOB));
    mkdirSync(folder, { recursive: true });
    for (const [id, bytes] of [
      ['p1', PNG],
      ['p2', PNG],
      ['cut', other.subarray(0, 3)],
    ] as const)
      writeFileSync(join(folder, earlier(id)), bytes);
    const again = openData(data);
    expect((await readMedia(again, stores, JOB, 'p2'))!.bytes.equals(PNG)).toBe(true);
    expect(await findMedia(again, stores, JOB, 'cut')).toBeNull();
    expect(readdirSync(folder)).toEqual([earlier('cut')]);
    expect(await folderStore(data).sizeOf(hashOf(PNG))).toBe(PNG.length);
    again.close();
    rmSync(data, { recursive: true });
  });
});
