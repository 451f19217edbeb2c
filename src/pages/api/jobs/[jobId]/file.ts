import { endpoint } from '#server/http/endpoint';
import { safeName, sendFile } from '#server/http/file';
import { refuseMethod, requireInspection } from '#server/http/params';
import { writeJobFile } from '#server/services/jobs';

/** The inspection file of a job, in canonical form. */
export const GET = endpoint((context) => {
  const inspection = requireInspection(context);
  return sendFile({
    name: `${safeName(inspection.job.title)}.chert.json`,
    type: 'application/json',
    bytes: writeJobFile(context.locals.call, inspection.job.id, inspection),
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
