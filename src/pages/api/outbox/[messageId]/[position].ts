import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { sendFile } from '#server/http/file';
import { refuseMethod } from '#server/http/params';
import { findAttachment } from '#server/services/mail';

/** An attachment of a message in the outbox. */
export const GET = endpoint(({ params, locals }) => {
  const file = findAttachment(locals.call, params['messageId'] ?? '', Number(params['position']));
  if (!file) throw refuseUnknown('attachment');
  return sendFile(file);
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
