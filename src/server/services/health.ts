import { database, dataFolder } from '../database';
import { type Health, lookAtHealth } from '../health';
import { mediaStores } from '../media/places';
import { hasOwner } from '../people/accounts';
import { service } from './service';

/** Whether Chert has people; not, where its database cannot be asked. */
function isFirm(): boolean {
  try {
    return hasOwner(database());
  } catch {
    return false;
  }
}

/**
 * Whether the server can do its work: it really writes, to the database and to where stills go. In a firm, what is
 * wrong is told to who is signed in alone.
 */
export const readHealth = service(
  'open',
  async ({ caller, nowMs }): Promise<Health | { readonly ok: boolean }> => {
    const where = { dataFolder: dataFolder(), stores: mediaStores() };
    const health = await lookAtHealth(database, where, nowMs);
    return caller === null && isFirm() ? { ok: health.ok } : health;
  },
);
