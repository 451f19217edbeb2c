import { ulid } from 'ulid';
import { readInspectionFile } from '#core/interchange/inspection-file';
import { safeIdOf } from '#core/interchange/safe-ids';
import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { answer, Refusal, refuseFaults } from '#server/http/answer';
import { readBytes, readText } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { storeInspection } from '#server/inspections';
import { storeMedia } from '#server/media/media';
import { mediaStores } from '#server/media/places';
import { ownedBy } from '#server/people/own-job';
import { unpackJob } from '#server/zip';

/** Reads an inspection file, alone or in a zip with its stills, into a job; with `?as=copy` under an id of its own. */
export const POST = endpoint(async ({ request, url, locals }) => {
  const isZip = /^application\/zip\b/i.test(request.headers.get('content-type') ?? '');
  const packed = isZip ? await unpackJob(await readBytes(request, BODY_LIMITS.zip)) : null;
  const outcome = readInspectionFile(packed?.text ?? (await readText(request, BODY_LIMITS.file)));
  if (!outcome.ok) throw refuseFaults(outcome.faults);
  const { job } = outcome.value;
  const copy = { ...job, id: ulid(), title: `${job.title} (copy)` };
  const isCopy = url.searchParams.get('as') === 'copy';
  const inspection = isCopy ? { ...outcome.value, job: copy } : outcome.value;
  const now = new Date().toISOString();
  const stored = storeInspection(database(), ownedBy(inspection, locals.who), now);
  if (stored === 'conflict') {
    throw new Refusal(
      409,
      'job-exists',
      'This job is here already, with other contents. Nothing was changed; import it as a copy to keep both.',
    );
  }
  const jobId = safeIdOf(inspection.job.id);
  if (stored === 'stored') noteDeed(database(), jobId, { what: 'imported' }, locals.who, now);
  if (packed)
    for await (const { id, ...media } of packed.media())
      await storeMedia(database(), mediaStores(), { jobId, id: safeIdOf(id) }, media, now);
  return answer({ id: jobId, outcome: stored }, stored === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
