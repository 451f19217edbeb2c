import { writeInspectionFile } from '#core/formats/inspection-file';
import { endpoint } from '#server/http/endpoint';
import { knownInspection, refuseMethod } from '#server/http/params';

/** The inspection file of a job, in canonical form. */
export const GET = endpoint((context) => {
  const inspection = knownInspection(context);
  const name =
    inspection.job.title
      .replace(/[^\w -]+/g, '')
      .trim()
      .replace(/\s+/g, '-') || 'job';
  return new Response(writeInspectionFile(inspection), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${name.toLowerCase()}.chert.json"`,
      'cache-control': 'no-store',
    },
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
