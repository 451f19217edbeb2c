import { stillsOf } from '#core/report/block';
import { database } from '#server/database';
import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { sendFile } from '#server/http/file';
import { answerMedia } from '#server/http/media';
import { refuseMethod } from '#server/http/params';
import { findIssuedFile, listIssued, loadFrozen } from '#server/issued';
import { mediaStores } from '#server/media/places';
import { findShared } from '#server/shares';

const STILL = /^still-(.+)$/;

/** The files that a link opens: the paper it was made for, its calendar, and the stills that it shows. */
export const GET = endpoint(({ params, url }) => {
  // One answer for all that is not there: nothing tells a wrong link from a closed one.
  const unknown = refuseUnknown('address');
  const shared = findShared(database(), params['secret'] ?? '', Date.now());
  if (shared === null) throw unknown;
  const { jobId, reader } = shared;
  const wanted = url.searchParams.get('version');
  const version = listIssued(database(), jobId).find(
    ({ number }) => wanted === null || String(number) === wanted,
  );
  if (!version) throw unknown;
  const name = params['name'] ?? '';
  const still = STILL.exec(name)?.[1];
  if (still !== undefined) {
    const frozen = loadFrozen(database(), jobId, version.number);
    const blocks = frozen?.documents[reader] ?? [];
    if (!stillsOf(blocks).includes(still)) throw unknown;
    return answerMedia(database(), mediaStores(), jobId, still, 'private, no-store');
  }
  const isOpen = name === `${reader}.pdf` || name === 'calendar.ics';
  const file = isOpen ? findIssuedFile(database(), jobId, version.number, name) : null;
  if (!file) throw unknown;
  return sendFile(file);
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
