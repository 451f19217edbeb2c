import type { Database } from 'better-sqlite3';
import { findAccount, passwordOf } from './accounts';
import { isPassword } from './passwords';
import { confirmSession, isConfirmed, type SignedIn } from './sessions';
import { noteGoodTry, takeTry } from './tries';

/** Whether somebody has shown lately that it is them; if not, what they are told. */
export type Confirmation =
  | { readonly state: 'confirmed'; readonly isFresh: boolean }
  | { readonly state: 'wanted'; readonly said: string };

const WANTED = 'Enter your password again: this changes who can get in.';

/**
 * Asks for the password again before ways in are changed, where it was last shown some time ago.
 *
 * @param password what was typed; empty where nothing was asked for yet.
 */
export async function confirmPerson(
  db: Database,
  who: SignedIn,
  password: string,
  nowMs: number,
): Promise<Confirmation> {
  if (isConfirmed(db, who, nowMs)) return { state: 'confirmed', isFresh: false };
  if (password === '') return { state: 'wanted', said: WANTED };
  // The session is the device: whoever holds it guesses against its own allowance.
  const one = {
    mail: findAccount(db, who.id)?.mail ?? '',
    address: '',
    knownDevice: who.sessionId,
  };
  const waitMin = await takeTry(one);
  if (waitMin > 0)
    return { state: 'wanted', said: `Too many failed tries. Wait ${waitMin} min, then try again.` };
  if (!(await isPassword(password, passwordOf(db, who.id))))
    return { state: 'wanted', said: 'That is not your password. Nothing was changed.' };
  await noteGoodTry(one);
  confirmSession(db, who, new Date(nowMs).toISOString());
  return { state: 'confirmed', isFresh: true };
}
