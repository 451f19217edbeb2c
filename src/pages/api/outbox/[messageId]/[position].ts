import { database } from '#server/database';
import { findAttachment } from '#server/delivery/outbox';
import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { sendFile } from '#server/http/file';
import { refuseMethod } from '#server/http/params';

/** An attachment of a message in the outbox. */
export const GET = endpoint(({ params }) => {
  const file = findAttachment(database(), params['messageId'] ?? '', Number(params['position']));
  if (!file) throw refuseUnknown('attachment');
  return sendFile(file);
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
