import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { readHealth } from '#server/services/health';

/** Whether the server can do its work. */
export const GET = endpoint(async ({ locals }) => {
  const health = await readHealth(locals.call);
  return answer(health, health.ok ? 200 : 503);
});
