import { database } from '#server/database';
import { localDay } from '#server/local-day';
import { loadPreferences } from '#server/preferences';
import { removeOld } from '#server/retention';

/** How often it is asked whether something is to go, ms. */
const ASK_EVERY_MS = 6 * 3_600_000;

/** Removes voice and video after the firm's time, while the server runs; without a time nothing goes. */
export function keepRetaining(dataFolder: string): void {
  const ask = () => {
    try {
      const { keepMonths } = loadPreferences(database());
      const now = new Date();
      if (keepMonths)
        removeOld(database(), dataFolder, keepMonths, {
          today: localDay(now),
          now: now.toISOString(),
        });
    } catch (error) {
      console.error(`Retention: ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  setInterval(ask, ASK_EVERY_MS).unref();
}
