import { database } from '#server/database';
import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';

/** Whether the server and its database answer. */
export const GET = endpoint(() => {
  const version = database().pragma('user_version', { simple: true });
  return answer({ ok: true, databaseVersion: version });
});
