import { writeInspectionFile } from '#core/interchange/inspection-file';
import { withFileIds } from '#core/interchange/safe-ids';
import { database } from '#server/database';
import { endpoint } from '#server/http/endpoint';
import { safeName, sendFile } from '#server/http/file';
import { knownInspection, refuseMethod } from '#server/http/params';
import { findFileIds } from '#server/jobs';

/** The inspection file of a job, in canonical form. */
export const GET = endpoint((context) => {
  const inspection = knownInspection(context);
  return sendFile({
    name: `${safeName(inspection.job.title)}.chert.json`,
    type: 'application/json',
    bytes: writeInspectionFile(withFileIds(inspection, findFileIds(database(), inspection.job.id))),
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
