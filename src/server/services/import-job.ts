import { ulid } from 'ulid';
import { safeIdOf } from '#core/interchange/safe-ids';
import type { Inspection } from '#core/model/job/inspection';
import { noteDeed } from '../deeds';
import { Refusal } from '../http/answer';
import { storeInspection } from '../inspections';
import { storeMedia } from '../media/media';
import { ownedBy } from '../people/own-job';
import { callerHasJobRight, personOf } from '../security/caller';
import type { PackedMedia } from '../zip';
import { service } from './service';

/** What a file brings: an inspection, and stills and voice notes where it is a zip. */
export type ImportWish = {
  readonly inspection: Inspection;
  readonly media?: () => AsyncGenerator<PackedMedia>;
  /** Whether it is kept beside the job of its id, under one of its own. */
  readonly isCopy: boolean;
};

/**
 * Reads a file into a job. It writes what its caller may write by hand: a job that is here already gets stills from who
 * may log on it alone.
 *
 * @throws a refusal when the job is here with other contents.
 */
export const importJob = service(
  'book',
  async ({ db, stores, caller, nowMs }, { inspection: file, media, isCopy }: ImportWish) => {
    const person = personOf(caller);
    const { job } = file;
    const copy = { ...job, id: ulid(nowMs), title: `${job.title} (copy)` };
    const inspection = isCopy ? { ...file, job: copy } : file;
    const now = new Date(nowMs).toISOString();
    const outcome = storeInspection(db, ownedBy(inspection, person), now);
    if (outcome === 'conflict')
      throw new Refusal(
        409,
        'job-exists',
        'This job is here already, with other contents. Nothing was changed; import it as a copy to keep both.',
      );
    const jobId = safeIdOf(inspection.job.id);
    if (outcome === 'stored') noteDeed(db, jobId, { what: 'imported' }, person, now);
    const mayAddStills = outcome === 'stored' || callerHasJobRight(db, caller, 'log', jobId);
    if (media && mayAddStills)
      for await (const { id, ...one } of media())
        await storeMedia(db, stores, { jobId, id: safeIdOf(id) }, one, now);
    return { id: jobId, outcome };
  },
);
