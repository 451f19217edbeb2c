import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { sendFile } from '#server/http/file';
import { refuseMethod, requireJobId } from '#server/http/params';
import { findIssuedFile } from '#server/services/reports';

/** One file of a version, as it was frozen. */
export const GET = endpoint((context) => {
  const { number, name } = context.params;
  const jobId = requireJobId(context);
  const file = findIssuedFile(context.locals.call, jobId, Number(number), name ?? '');
  if (!file) throw refuseUnknown('file of an issued report');
  return sendFile(file);
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
