import { ulid } from 'ulid';
import { readInspectionFile } from '#core/formats/inspection-file';
import { database } from '#server/database';
import { answer, Refusal, refuseFaults } from '#server/http/answer';
import { BODY_LIMITS, readText } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { storeInspection } from '#server/inspections';

/** Reads an inspection file into a job; with `?as=copy` under an id of its own. */
export const POST = endpoint(async ({ request, url }) => {
  const outcome = readInspectionFile(await readText(request, BODY_LIMITS.file));
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
  return answer({ id: inspection.job.id, outcome: stored }, stored === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
