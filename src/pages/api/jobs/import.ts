import { readInspectionFile } from '#core/interchange/inspection-file';
import { answer, refuseFaults } from '#server/http/answer';
import { readBytes, readText } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { importJob } from '#server/services/import-job';
import { unpackJob } from '#server/zip';

/** Reads an inspection file, alone or in a zip with its stills, into a job; with `?as=copy` under an id of its own. */
export const POST = endpoint(async ({ request, url, locals }) => {
  const isZip = /^application\/zip\b/i.test(request.headers.get('content-type') ?? '');
  const packed = isZip ? await unpackJob(await readBytes(request, BODY_LIMITS.zip)) : null;
  const read = readInspectionFile(packed?.text ?? (await readText(request, BODY_LIMITS.file)));
  if (!read.ok) throw refuseFaults(read.faults);
  const imported = await importJob(locals.call, {
    inspection: read.value,
    isCopy: url.searchParams.get('as') === 'copy',
    ...(packed ? { media: packed.media } : {}),
  });
  return answer(imported, imported.outcome === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
