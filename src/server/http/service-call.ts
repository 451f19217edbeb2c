import { database } from '../database';
import { mediaStores } from '../media/places';
import { deviceOf } from '../people/sessions';
import type { Caller } from '../security/caller';
import type { ServiceCall } from '../services/service';

/** A call of the app's services by whoever asks, on the app's own data, now. */
export const serviceCall = (
  caller: Caller | null,
  from: { readonly address: string; readonly userAgent: string | null },
): ServiceCall => ({
  caller,
  source: { device: deviceOf(from.userAgent), address: from.address },
  nowMs: Date.now(),
  // Opened where they are needed: a page that says what is wrong with them needs neither.
  get db() {
    return database();
  },
  get stores() {
    return mediaStores();
  },
});
