import { database, dataFolder } from '#server/database';
import { lookAtHealth } from '#server/health';
import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';

/** Whether the server can do its work: it really writes, to the database and to the folder of stills. */
export const GET = endpoint(() => {
  const health = lookAtHealth(database, dataFolder(), Date.now());
  return answer(health, health.ok ? 200 : 503);
});
