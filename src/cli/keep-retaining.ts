import { database } from '#server/database';
import { localDay } from '#server/local-day';
import { mediaStores } from '#server/media/places';
import { removeOld } from '#server/media/retention';
import { loadPreferences } from '#server/preferences';
import { pruneAccessLog } from '#server/security/access-log';

/** How often it is asked whether something is to go, ms. */
const ASK_EVERY_MS = 6 * 3_600_000;

/** Removes voice and video after the firm's time, while the server runs; without a time nothing goes. */
export function keepRetaining(): void {
  const ask = async () => {
    try {
      const { keepMonths } = loadPreferences(database());
      const now = new Date();
      pruneAccessLog(database(), now.getTime());
      if (keepMonths)
        await removeOld(database(), mediaStores(), keepMonths, {
          today: localDay(now),
          now: now.toISOString(),
        });
    } catch (error) {
      console.error(`Retention: ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  setInterval(() => void ask(), ASK_EVERY_MS).unref();
}
