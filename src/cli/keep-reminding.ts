import { database } from '#server/database';
import { localDay } from '#server/local-day';
import { remind } from '#server/people/remind';

/** How often it is asked whether the morning has come, ms. */
const ASK_EVERY_MS = 10 * 60_000;
/** The hour from which what is due is told. */
const MORNING_HOUR = 6;

/** Tells everybody in the morning what is due, while the server runs. */
export function keepReminding(origin: string, hasMail: boolean): void {
  const ask = () => {
    const now = new Date();
    if (now.getHours() < MORNING_HOUR) return;
    try {
      remind(database(), localDay(now), { origin, hasMail, now: now.toISOString() });
    } catch (error) {
      console.error(`Reminders: ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  setInterval(ask, ASK_EVERY_MS).unref();
}
