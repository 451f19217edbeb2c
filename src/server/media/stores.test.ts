import { readdirSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import { pieceId } from '#core/interchange/recording-piece';
import { lookAtHealth } from '../health';
import { endpoint } from '../http/endpoint';
import { storeIssued } from '../issued';
import { ADDRESS, freshBucket, JOB, NOW } from '../testing/with-bucket';
import { PNG } from '../testing/with-still';
import { bucketStore } from './bucket-store';
import { findMedia, MediaGone, readMedia } from './media';
import { mediaIn } from './places';
import { findRecording, readRecording } from './recordings';
import { removeOld } from './retention';
import { hashOf, IN_FOLDER, type MediaStore, StoreTrouble } from './store';

const { its, bucket, made, put, pathOf } = freshBucket();

describe.each<[string, () => MediaStore]>([
  ['a folder', () => its.stores.at(IN_FOLDER)],
  ['a bucket', () => made.withBucket.at(ADDRESS)],
])('contents in %s', (_, open) => {
  it('are kept whole, read whole or in part, measured, and taken out', async () => {
    const store = open();
    // Over the blocks in which a bucket is read.
    const bytes = Buffer.alloc(2.5 * 1024 * 1024);
    for (let at = 0; at < bytes.length; at += 1) bytes[at] = (at * 7919) % 251;
    const sha256 = hashOf(bytes);
    await store.keep(sha256, bytes);
    await store.keep(sha256, bytes);
    expect((await store.read(sha256))!.equals(bytes)).toBe(true);
    expect(await store.sizeOf(sha256)).toBe(bytes.length);
    const MB = 1024 * 1024;
    for (const [from, length] of [
      [0, 10],
      [MB - 3, 6],
      [MB, MB],
      [100, 2 * MB],
      [bytes.length - 4, 4],
      [bytes.length - 4, 400],
    ] as const)
      expect(
        Buffer.from((await store.readPart(sha256, from, length))!).equals(
          bytes.subarray(from, from + length),
        ),
      ).toBe(true);
    // What ends where a block does, read past its end.
    const block = bytes.subarray(0, MB);
    await store.keep(hashOf(block), block);
    expect(await store.readPart(hashOf(block), MB - 2, 10)).toHaveLength(2);
    await store.remove(sha256);
    await store.remove(sha256);
    expect(await store.sizeOf(sha256)).toBeNull();
    expect(await store.read(sha256)).toBeNull();
  });

  it('that are not there are nothing, in whole or in part', async () => {
    const nowhere = hashOf('nowhere');
    expect([
      await open().read(nowhere),
      await open().readPart(nowhere, 0, 10),
      await open().sizeOf(nowhere),
    ]).toEqual([null, null, null]);
  });

  it('are tried by writing, and leave nothing of that', async () => {
    await open().probe();
    expect(bucket.objects.size).toBe(0);
    const files = readdirSync(its.folder, { recursive: true, encoding: 'utf8' });
    expect(files.filter((name) => name.includes('probe'))).toEqual([]);
  });
});

describe('a bucket', () => {
  it('that falls silent is given up', async () => {
    const store = bucketStore(
      { name: 'inspections', prefix: '' },
      { connectMs: 200, silenceMs: 150, attempts: 2 },
    );
    await store.keep(hashOf(PNG), PNG);
    bucket.fallSilent();
    await expect(store.read(hashOf(PNG))).rejects.toThrow(StoreTrouble);
    await expect(store.sizeOf(hashOf(PNG))).rejects.toThrow(StoreTrouble);
  });

  it('that is none of its service’s is not taken for an empty one', async () => {
    const store = mediaIn(its.folder, 's3://elsewhere').at('s3://elsewhere');
    await expect(store.read(hashOf(PNG))).rejects.toThrow(
      /s3:\/\/elsewhere\/ did not answer: NoSuchBucket/,
    );
    await expect(store.keep(hashOf(PNG), PNG)).rejects.toThrow(StoreTrouble);
  });

  it('gives a part of what is there again after it was gone', async () => {
    const store = made.withBucket.at(ADDRESS);
    const sha256 = hashOf(PNG);
    expect(await store.readPart(sha256, 0, 4)).toBeNull();
    await store.keep(sha256, PNG);
    expect(Buffer.from((await store.readPart(sha256, 0, 4))!)).toEqual(PNG.subarray(0, 4));
  });

  it('is read in blocks: a thousand short reads are a few', async () => {
    const store = made.withBucket.at(ADDRESS);
    const bytes = Buffer.alloc(1_500_000, 'x');
    const sha256 = hashOf(bytes);
    await store.keep(sha256, bytes);
    bucket.asked.length = 0;
    for (let at = 0; at < 1_500_000; at += 1500) await store.readPart(sha256, at, 32);
    expect(bucket.asked).toHaveLength(2);
  });

  it.each<[string, () => void]>([
    ['fails', () => bucket.setDown(true)],
    ['knows not who asks', () => vi.stubEnv('AWS_ACCESS_KEY_ID', 'somebody')],
    ['is not there', () => vi.stubEnv('AWS_ENDPOINT_URL_S3', 'http://127.0.0.1:9')],
  ])(
    'that %s is told by name, loses nothing and stores nothing',
    async (_, spoil) => {
      await put('p1', PNG, made.withBucket);
      spoil();
      const log = vi.spyOn(console, 'error').mockReturnValue();
      const stores = mediaIn(its.folder, ADDRESS);
      await expect(readMedia(its.db, stores, JOB, 'p1')).rejects.toThrow(
        /^s3:\/\/inspections\/chert\/ did not answer: \S/,
      );
      // A report without its stills would be worse than none.
      await expect(findMedia(its.db, stores, JOB, 'p1')).rejects.toThrow(StoreTrouble);
      const send = endpoint(async () => {
        await put('p2', Buffer.concat([PNG, PNG]), stores);
        return new Response('stored');
      });
      const asked = { request: new Request('http://127.0.0.1/'), locals: { who: null } } as never;
      const answered = await send(asked);
      expect(answered.status).toBe(503);
      expect(log.mock.lastCall?.join()).toContain('s3://inspections');
      log.mockRestore();
      expect(await answered.json()).toMatchObject({ error: { code: 'media-unreachable' } });
      expect(await readMedia(its.db, its.stores, JOB, 'p2')).toBeNull();
      const health = await lookAtHealth(
        () => its.db,
        { dataFolder: its.folder, stores },
        Date.parse(NOW),
      );
      expect(health.troubles.join()).toContain('Stills cannot be written: s3://inspections');
    },
    20_000,
  );

  it('holds the pieces of a recording, which is read across them', async () => {
    const piece = (number: number, text: string) =>
      put(pieceId('V', number), Buffer.from(text), made.withBucket, 'video/webm');
    await piece(0, 'one ');
    await piece(1, 'two');
    const stored = findRecording(its.db, JOB, 'V')!;
    const read = await readRecording(made.withBucket, stored, { from: 2, to: 5 });
    expect(Buffer.from(read).toString()).toBe('e tw');
    bucket.objects.delete(pathOf(Buffer.from('two')));
    await expect(readRecording(mediaIn(its.folder), stored, { from: 2, to: 5 })).rejects.toThrow(
      MediaGone,
    );
  });

  it('loses voices and videos after the firm’s time; where it does not answer they go the next time', async () => {
    await put('voice', PNG, made.withBucket, 'audio/webm');
    storeIssued(its.db, JOB, { number: 1, issuedAt: NOW, headline: 'h', reason: '' }, []);
    const go = () => removeOld(its.db, made.withBucket, 3, { today: '2027-12-01', now: NOW });
    bucket.setDown(true);
    await expect(go()).rejects.toThrow(StoreTrouble);
    bucket.setDown(false);
    expect(await go()).toBe(1);
    expect(bucket.objects.size).toBe(0);
  }, 20_000);

  it.each(['s3:/inspections', 'https://inspections', 's3://UP/x', 's3://'])(
    'is not guessed from %s',
    (said) => {
      expect(() => mediaIn(its.folder, said)).toThrow(
        /^CHERT_MEDIA: expected s3:\/\/bucket or s3:\/\/bucket\/folder, got/,
      );
    },
  );
});
