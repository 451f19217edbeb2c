import { ulid } from 'ulid';
import { readInspectionFile } from '#core/formats/inspection-file';
import { dataFolder, database } from '#server/database';
import { answer, Refusal, refuseFaults } from '#server/http/answer';
import { readBytes, readText } from '#server/http/body';
import { BODY_LIMITS } from '#server/http/limits';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { storeInspection } from '#server/inspections';
import { storeMedia } from '#server/media';
import { unpackJob } from '#server/zip';

/** Reads an inspection file, alone or in a zip with its stills, into a job; with `?as=copy` under an id of its own. */
export const POST = endpoint(async ({ request, url }) => {
  const isZip = /^application\/zip\b/i.test(request.headers.get('content-type') ?? '');
  const packed = isZip ? unpackJob(await readBytes(request, BODY_LIMITS.zip)) : null;
  const outcome = readInspectionFile(packed?.text ?? (await readText(request, BODY_LIMITS.file)));
  if (!outcome.ok) throw refuseFaults(outcome.faults);
  const inspection =
    url.searchParams.get('as') === 'copy'
      ? {
          ...outcome.value,
          job: { ...outcome.value.job, id: ulid(), title: `${outcome.value.job.title} (copy)` },
        }
      : outcome.value;
  const stored = storeInspection(database(), inspection, new Date().toISOString());
  if (stored === 'conflict') {
    throw new Refusal(
      409,
      'job-exists',
      'This job is here already, with other contents. Nothing was changed; import it as a copy to keep both.',
    );
  }
  for (const { id, ...media } of packed?.media ?? [])
    storeMedia(
      database(),
      dataFolder(),
      { jobId: inspection.job.id, id },
      media,
      new Date().toISOString(),
    );
  return answer({ id: inspection.job.id, outcome: stored }, stored === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
