import { database, dataFolder } from '#server/database';
import { lookAtHealth } from '#server/health';
import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { mediaStores } from '#server/media/places';
import { hasOwner } from '#server/people/accounts';

/** Whether Chert has people; not, where its database cannot be asked. */
function isFirm(): boolean {
  try {
    return hasOwner(database());
  } catch {
    return false;
  }
}

/**
 * Whether the server can do its work: it really writes, to the database and to the folder of stills. In a firm, what
 * is wrong is told to who is signed in alone.
 */
export const GET = endpoint(async ({ locals }) => {
  const health = await lookAtHealth(
    database,
    { dataFolder: dataFolder(), stores: mediaStores() },
    Date.now(),
  );
  const { ok } = health;
  return answer(locals.who === null && isFirm() ? { ok } : health, ok ? 200 : 503);
});
