import { READERS } from '#core/report/documents';
import { dataFolder, database } from '#server/database';
import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { sendFile } from '#server/http/file';
import { refuseMethod } from '#server/http/params';
import { findIssuedFile, listIssued, loadFrozen } from '#server/issued';
import { findMedia } from '#server/media';
import { jobOfShare } from '#server/shares';

/** The files that a link opens: the documents and the calendar, and stills that the report shows. */
const FILES = [...READERS.map((reader) => `${reader}.pdf`), 'calendar.ics'];
const STILL = /^still-(.+)$/;

export const GET = endpoint(({ params, url }) => {
  // One answer for all that is not there: nothing tells a wrong link from a closed one.
  const unknown = refuseUnknown('address');
  const jobId = jobOfShare(database(), params['secret'] ?? '', new Date().toISOString());
  if (jobId === null) throw unknown;
  const wanted = url.searchParams.get('version');
  const version = listIssued(database(), jobId).find(({ number }) => wanted === null || String(number) === wanted); // prettier-ignore
  if (!version) throw unknown;
  const name = params['name'] ?? '';
  const still = STILL.exec(name)?.[1];
  if (still !== undefined) {
    const isShown = loadFrozen(database(), jobId, version.number)?.stills.some(({ id }) => id === still); // prettier-ignore
    const media = isShown ? findMedia(database(), dataFolder(), jobId, still) : null;
    if (!media) throw unknown;
    return new Response(new Uint8Array(media.bytes), {
      headers: { 'content-type': media.type, 'cache-control': 'private, no-store', 'x-robots-tag': 'noindex' },
    });
  }
  const file = FILES.includes(name) ? findIssuedFile(database(), jobId, version.number, name) : null;
  if (!file) throw unknown;
  return sendFile(file);
}); // prettier-ignore

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
