import { readInspectionFile } from '#core/interchange/inspection-file';
import { isUnsentWork } from '#core/interchange/unsent-work';
import { checkUnsentWork } from '#core/interchange/unsent-work.schema';
import { answer, refuseFaults } from '#server/http/answer';
import { parseJson, readBytes, readText } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { importJob } from '#server/services/import-job';
import { importUnsent } from '#server/services/import-unsent';
import { unpackJob } from '#server/zip';

/** Reads an inspection file, alone or in a zip with its stills, into a job; with `?as=copy` under an id of its own. */
export const POST = endpoint(async ({ request, url, locals }) => {
  const isZip = /^application\/zip\b/i.test(request.headers.get('content-type') ?? '');
  const packed = isZip ? await unpackJob(await readBytes(request, BODY_LIMITS.zip)) : null;
  const as = url.searchParams.get('as');
  // What a device had not sent comes with its stills.
  const limit = as === 'unsent' ? BODY_LIMITS.zip : BODY_LIMITS.file;
  const text = packed?.text ?? (await readText(request, limit));
  if (!packed && isUnsentWork(text)) {
    const work = checkUnsentWork(parseJson(Buffer.from(text)));
    if (!work.ok) throw refuseFaults(work.faults);
    return answer(await importUnsent(locals.call, work.value), 201);
  }
  const read = readInspectionFile(text);
  if (!read.ok) throw refuseFaults(read.faults);
  const imported = await importJob(locals.call, {
    inspection: read.value,
    isCopy: as === 'copy',
    ...(packed ? { media: packed.media } : {}),
  });
  return answer(imported, imported.outcome === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
