import type { AuthenticationResponseJSON, RegistrationResponseJSON } from '@simplewebauthn/server';
import { Refusal } from '../http/answer';
import { type Account, findAccount, listAccounts } from '../people/accounts';
import { type ActionResult, actOnMe as act, type Actor } from '../people/act-on-me';
import { actOnPeople as actOn } from '../people/act-on-people';
import { type Feed, findFeed } from '../people/feed';
import * as passkeys from '../people/passkeys';
import {
  confirmSession,
  endSession,
  isConfirmed,
  listSessions,
  type Session,
} from '../people/sessions';
import { listAccess, noteAccess } from '../security/access-log';
import { personOf, refusalTo } from '../security/caller';
import { service, type ServiceCall } from './service';

/** The ways in that somebody has. */
export type WaysIn = {
  readonly sessions: readonly Session[];
  readonly passkeys: readonly passkeys.Passkey[];
  readonly feed: Feed | null;
};

const waysInOf = ({ db }: ServiceCall, id: string): WaysIn => ({
  sessions: listSessions(db, id),
  passkeys: passkeys.listPasskeys(db, id),
  feed: findFeed(db, id),
});

/** Whoever is signed in, as what they press is noted. */
function actorOf({ caller, source, nowMs }: ServiceCall): Actor {
  const who = personOf(caller);
  // Where Chert has no people there is nobody to have an account.
  if (!who) throw refusalTo(caller, 'address');
  return { who, source, nowMs };
}

function requireConfirmed(call: ServiceCall): Actor {
  const actor = actorOf(call);
  if (isConfirmed(call.db, actor.who, call.nowMs)) return actor;
  throw new Refusal(
    403,
    'confirm-first',
    'Enter your password again on Your account first: this changes who can get in. Nothing was changed.',
  );
}

/** Somebody's own account, their ways in, and whether they may change those without being asked again. */
export const readMe = service('own', (call) => {
  const { who } = actorOf(call);
  const account = findAccount(call.db, who.id)!;
  return { account, ...waysInOf(call, who.id), isConfirmed: isConfirmed(call.db, who, call.nowMs) };
});

/** Does what somebody's form on their own account asks for. */
export const actOnMe = service('own', (call, form: FormData): Promise<ActionResult> =>
  act(call.db, actorOf(call), form),
);

/** Signs the device out that asks. What it holds stays on it. */
export const signOut = service('own', (call): void => {
  const { who } = actorOf(call);
  const now = new Date(call.nowMs).toISOString();
  if (endSession(call.db, who.id, who.sessionId, now))
    noteAccess(call.db, { what: 'signed-out', accountId: who.id }, call.source, now);
});

/** Everybody with an account, and their ways in. */
export const listPeople = service('people', (call): (Account & WaysIn)[] =>
  listAccounts(call.db).map((account) => ({ ...account, ...waysInOf(call, account.id) })),
);

/** Does what an owner's form on people asks for. */
export const actOnPeople = service('people', (call, form: FormData, origin: string) =>
  actOn(call.db, actorOf(call), form, origin),
);

/** The most lines of the access log on one page. */
const MOST_LINES = 500;

/** The access log, the latest first. */
export const readAccessLog = service('people', ({ db }) => listAccess(db, MOST_LINES));

/** What a browser is asked when whoever is signed in makes a passkey. */
export const askForPasskey = service('own', async (call, site: passkeys.Site) => {
  const { who } = requireConfirmed(call);
  return passkeys.askForNew(call.db, findAccount(call.db, who.id)!, site, call.nowMs);
});

/** Keeps the passkey that whoever is signed in has made. */
export const addPasskey = service(
  'own',
  async (call, response: RegistrationResponseJSON, site: passkeys.Site) => {
    const { who, source, nowMs } = requireConfirmed(call);
    await passkeys.keepNew(call.db, who.id, response, site, { label: source.device, nowMs });
    const now = new Date(nowMs).toISOString();
    noteAccess(call.db, { what: 'passkey-added', accountId: who.id }, source, now);
  },
);

/** Takes a passkey instead of the password, before ways in are changed. */
export const confirmByPasskey = service(
  'own',
  async (call, response: AuthenticationResponseJSON, site: passkeys.Site) => {
    const { who, source, nowMs } = actorOf(call);
    const id = await passkeys.accountByPasskey(call.db, response, site, nowMs);
    if (id !== who.id) throw refusalTo(call.caller, 'passkey of yours');
    const now = new Date(nowMs).toISOString();
    confirmSession(call.db, who, now);
    noteAccess(call.db, { what: 'access-confirmed', accountId: who.id }, source, now);
  },
);
