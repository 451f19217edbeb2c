import type { Database } from 'better-sqlite3';
import type { Role } from '#core/office/roles';
import type { MediaStores } from '../media/store';
import { findAccount } from '../people/accounts';
import { beginSession, findSignedIn, type SignedIn } from '../people/sessions';
import type { Caller } from '../security/caller';
import type { ServiceCall } from '../services/service';

/** A browser as tests sign in with it. */
export const DEVICE = { id: 'D1', name: 'Chrome on Linux' } as const;
export const SOURCE = { device: DEVICE.name, address: '127.0.0.1' } as const;

/** Chert itself, for tests of what asks for no right. */
export const CHERT: Caller = { kind: 'system', reason: 'a test' };

/** Signs somebody in, and finds who that is by the secret. */
export function signIn(db: Database, accountId: string, now: string, deviceId = 'D1'): SignedIn {
  const { secret } = beginSession(db, accountId, { ...DEVICE, id: deviceId }, now);
  return findSignedIn(db, secret, Date.parse(now))!;
}

/** Somebody with a role, as a caller without a session of their own. */
export const personWith = (id: string, role: Role): Caller => ({
  kind: 'person',
  person: { id, name: id, role, sessionId: `session of ${id}` },
});

/** A call of a service by somebody with an account. */
export function callBy(
  { db, stores }: { readonly db: Database; readonly stores: MediaStores },
  caller: Caller | string | null,
  now: string,
): ServiceCall {
  const whole =
    typeof caller === 'string' ? personWith(caller, findAccount(db, caller)!.role) : caller;
  return { db, stores, caller: whole, nowMs: Date.parse(now), source: SOURCE };
}
