import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { sendFile } from '#server/http/file';
import { answerMedia } from '#server/http/media';
import { refuseMethod } from '#server/http/params';
import { findSharedFile } from '#server/services/reports';

/** The files that a link opens: the paper it was made for, its calendar, and the stills that it shows. */
export const GET = endpoint(({ params, url, locals }) => {
  const version = url.searchParams.get('version');
  const { secret = '', name = '' } = params;
  const found = findSharedFile(locals.call, secret, version, name);
  // One answer for all that is not there: nothing tells a wrong link from a closed one.
  if (!found) throw refuseUnknown('address');
  return found.kind === 'file'
    ? sendFile(found.file)
    : answerMedia(found.read, 'private, no-store');
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
