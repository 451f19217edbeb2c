import { afterEach, beforeEach, vi } from 'vitest';
import { demoInspection } from '#core/testing/demo-inspections';
import { storeInspection } from '../inspections';
import { storeMedia } from '../media/media';
import { mediaIn } from '../media/places';
import { hashOf, type MediaStores, nameOfContent } from '../media/store';
import { bucketServer } from './bucket';
import { freshDatabase } from './fresh-database';

export const NOW = '2026-11-03T09:00:00.000Z';
export const ADDRESS = 's3://inspections/chert';
const alder = demoInspection('alder-bend');
export const JOB = alder.job.id;

/** For each test of a file a database with one job, the stores of a Chert without a bucket, and of one with it. */
export function freshBucket() {
  const its = freshDatabase();
  const bucket = bucketServer('inspections');
  const made = {} as { withBucket: MediaStores };
  beforeEach(async () => {
    for (const [name, value] of Object.entries(await bucket.start())) vi.stubEnv(name, value);
    bucket.objects.clear();
    bucket.setDown(false);
    made.withBucket = mediaIn(its.folder, ADDRESS);
    storeInspection(its.db, alder, NOW);
  });
  afterEach(async () => {
    vi.unstubAllEnvs();
    await bucket.end();
  });
  return {
    its,
    bucket,
    made,
    /** Stores something of the job; without the bucket unless it is said. */
    put: (id: string, bytes: Buffer, stores = its.stores, type = 'image/png') =>
      storeMedia(its.db, stores, { jobId: JOB, id }, { type, bytes }, NOW),
    /** The path by which the bucket knows a content. */
    pathOf: (bytes: Uint8Array) => `/inspections/chert/${nameOfContent(hashOf(bytes))}`,
  };
}
