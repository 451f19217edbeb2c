import { database } from '#server/database';
import { deliverDue } from '#server/delivery/deliver';
import { smtpAdapter, type SmtpSettings } from '#server/delivery/smtp';

/** How often it is asked whether a message is to be tried again, ms. */
const ASK_EVERY_MS = 30_000;

/** Tries what waits in the outbox again in time, while the server runs. */
export function keepDelivering(smtp: SmtpSettings | null): void {
  if (!smtp) return;
  const adapter = smtpAdapter(smtp);
  let isBusy = false;
  const ask = async () => {
    if (isBusy) return;
    isBusy = true;
    try {
      await deliverDue(database(), adapter, Date.now());
    } catch (error) {
      console.error(`Outbox: ${error instanceof Error ? error.message : String(error)}`);
    } finally {
      isBusy = false;
    }
  };
  setInterval(() => void ask(), ASK_EVERY_MS).unref();
}
