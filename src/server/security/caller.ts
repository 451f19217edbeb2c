import type { Database } from 'better-sqlite3';
import { hasRight, type Person, type Right } from '#core/office/roles';
import { Refusal, refuseUnknown } from '../http/answer';
import { findAccount, hasOwner } from '../people/accounts';
import type { SignedIn } from '../people/sessions';
import { prepared } from '../prepared';

/**
 * Who calls a service. There is always somebody: `null` is no caller, and is answered nothing. `alone`: whoever sits at
 * this machine, while Chert has no people. `script`: a program on this machine that brought the token, while Chert has
 * no people. `device`: a device that hands over what was logged on it. `system`: Chert itself, and why.
 */
export type Caller =
  | { readonly kind: 'person'; readonly person: SignedIn }
  | { readonly kind: 'alone' }
  | { readonly kind: 'script' }
  | DeviceCaller
  | { readonly kind: 'system'; readonly reason: string };

/**
 * A device that hands over what was logged on it while a job was somebody's there, whatever the office has done since. It
 * adds to that job, under their name, and reads nothing.
 */
export type DeviceCaller = {
  readonly kind: 'device';
  readonly deviceId: string;
  readonly jobId: string;
  /** Whose work it is, under the last session that they had there. */
  readonly person: SignedIn;
  /** What the office has done since, as the end of "came in after …". */
  readonly after: string;
  /** Whether the device was ended by hand: what it sends waits to be looked at. */
  readonly isEnded: boolean;
  readonly mayLog: boolean;
  readonly mayAgree: boolean;
};

/** The person who calls, or whose work is handed over; `null` where it is nobody with an account. */
export const personOf = (caller: Caller | null): SignedIn | null =>
  caller?.kind === 'person' || caller?.kind === 'device' ? caller.person : null;

/** The person as the account is now, not as it was when the request came in; `null` once it is closed. */
function personNow(db: Database, { id }: Person): Person | null {
  const account = findAccount(db, id);
  return account?.closedAt === null ? account : null;
}

/**
 * Whether a caller has a right.
 *
 * @param isTheirs whether what is asked about is a job of that person's own, or mail about one.
 */
export function callerHasRight(
  db: Database,
  caller: Caller | null,
  right: Right,
  isTheirs: boolean,
): boolean {
  if (right === 'open') return true;
  switch (caller?.kind) {
    case 'alone':
    case 'script':
      // Where there are accounts, whoever is not signed in is a stranger, whatever came before.
      return !hasOwner(db);
    case 'person': {
      const person = personNow(db, caller.person);
      return person !== null && hasRight(person.role, right, isTheirs);
    }
    case 'system':
      return true;
    // What a device may, it may on its job alone.
    case 'device':
    case undefined:
      return false;
  }
}

/** Whether a job is on the list and assigned to a person. */
export const isAssigned = (db: Database, jobId: string, personId: string): boolean =>
  prepared<[string, string]>(
    db,
    'SELECT 1 FROM jobs WHERE id = ? AND assigned_to = ? AND removed_at IS NULL',
  ).get(jobId, personId) !== undefined;

/** Whether a caller has a right on a job. */
export function callerHasJobRight(
  db: Database,
  caller: Caller | null,
  right: Right,
  jobId: string,
): boolean {
  if (caller?.kind === 'device') {
    const may = right === 'log' ? caller.mayLog : right === 'agree' && caller.mayAgree;
    return may && caller.jobId === jobId;
  }
  const person = personOf(caller);
  return callerHasRight(db, caller, right, person !== null && isAssigned(db, jobId, person.id));
}

const NO_CALLER = new Refusal(
  401,
  'signed-out',
  'Nobody is signed in here. What was logged is kept on this device, and sent once you sign in again.',
);

/** Says no to a caller: to nobody as one who is signed out, to others as to what is not there. */
export const refusalTo = (caller: Caller | null, what: string): Refusal =>
  caller === null ? NO_CALLER : refuseUnknown(what);

/**
 * Asks for a right before anything else is done.
 *
 * @param jobId the job it is asked on; absent for what belongs to no job, and is the caller's own if it is anybody's.
 * @throws a refusal.
 */
export function requireRight(
  db: Database,
  caller: Caller | null,
  right: Right,
  jobId?: string,
): void {
  const has =
    jobId === undefined
      ? callerHasRight(db, caller, right, true)
      : callerHasJobRight(db, caller, right, jobId);
  if (!has) throw refusalTo(caller, jobId === undefined ? 'address' : 'job');
}
