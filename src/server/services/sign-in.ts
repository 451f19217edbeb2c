import type { AuthenticationResponseJSON } from '@simplewebauthn/server';
import { smtpSettings } from '../delivery/smtp';
import {
  type Account,
  findByMail,
  hasOwner as firmHasOwner,
  passwordOf,
  setPassword,
} from '../people/accounts';
import { isKnownDevice } from '../people/device-cookie';
import * as invitations from '../people/invitations';
import { mailLink } from '../people/mail-links';
import { makeOwner as make, type OwnerWish } from '../people/make-owner';
import * as passkeys from '../people/passkeys';
import { hashPassword, isPassword, passwordTrouble } from '../people/passwords';
import { beginSession, type Device, isOfEndedDevice } from '../people/sessions';
import { mayAskForLink, mayMailLink, noteGoodTry, takeTry } from '../people/tries';
import { noteAccess } from '../security/access-log';
import { service, type ServiceCall } from './service';

/** Whether Chert has people at all. */
export const hasOwner = service('open', ({ db }) => firmHasOwner(db));

/** What a try to sign in came to. */
export type SignInResult =
  | { readonly state: 'in'; readonly accountId: string }
  | { readonly state: 'wrong' }
  | { readonly state: 'wait'; readonly minutes: number };

export type SignInWish = {
  readonly mail: string;
  readonly password: string;
  /** The device that asks, where Chert knows it. */
  readonly deviceId: string | null;
};

/** Looks at a mail address and a password. Call it on the thread that takes connections: tries are counted there. */
export const checkPassword = service(
  'open',
  async (call, { mail, password, deviceId }: SignInWish): Promise<SignInResult> => {
    const { db, source } = call;
    const account = findByMail(db, mail);
    const knownDevice =
      account && deviceId !== null && isKnownDevice(db, deviceId, account.id) ? deviceId : null;
    const one = { mail, address: source.address, knownDevice };
    const minutes = await takeTry(one);
    if (minutes > 0) return { state: 'wait', minutes };
    const kept = account ? passwordOf(db, account.id) : null;
    if (!(await isPassword(password, kept)) || !account) {
      noteAccess(
        db,
        { what: 'sign-in-failed', accountId: null, detail: mail },
        source,
        new Date(call.nowMs).toISOString(),
      );
      return { state: 'wrong' };
    }
    await noteGoodTry(one);
    return { state: 'in', accountId: account.id };
  },
);

/** Begins the session of somebody who has shown a password, a passkey or a link. Its secret is told this once. */
export const openSession = service(
  'open',
  ({ db, nowMs, source }, accountId: string, device: Device, replaces: string | null) => {
    const now = new Date(nowMs).toISOString();
    return db
      .transaction(() => {
        const session = beginSession(db, accountId, device, now, replaces);
        noteAccess(db, { what: 'signed-in', accountId }, source, now);
        return session;
      })
      .immediate();
  },
);

/** Whether the session of a browser was ended from elsewhere, so that it is to forget what it keeps. */
export const isDeviceEnded = service('open', ({ db }, secret: string | undefined) =>
  secret === undefined ? false : isOfEndedDevice(db, secret),
);

/** What a passkey is asked to sign, to sign in. */
export const askForSignIn = service('open', ({ db, nowMs }, site: passkeys.Site) =>
  passkeys.askForSignIn(db, site, nowMs),
);

/** The account that a passkey opens. */
export const checkPasskey = service(
  'open',
  ({ db, nowMs }, response: AuthenticationResponseJSON, site: passkeys.Site) =>
    passkeys.accountByPasskey(db, response, site, nowMs),
);

/** What asking for a link to set a password came to; the same whether there is such an account or not. */
export type ResetResult = 'mailed' | 'ask-an-owner' | 'too-often';

/**
 * Mails a link to set a password to whoever has a mail address and a password already. Without a mail server nothing is
 * made: an owner hands links on.
 */
export const requestReset = service(
  'open',
  async ({ db, nowMs, source }, mail: string, origin: string): Promise<ResetResult> => {
    if (!smtpSettings(process.env)) return 'ask-an-owner';
    if (!(await mayAskForLink(source.address))) return 'too-often';
    const account = findByMail(db, mail);
    if (account?.hasPassword && (await mayMailLink(account.id))) {
      const now = new Date(nowMs).toISOString();
      noteAccess(db, { what: 'password-link', accountId: null, detail: account.name }, source, now);
      // Not waited for: how long it takes would tell whether there is such an account.
      void mailLink(db, account, 'reset', origin, nowMs, true).catch((error: unknown) =>
        console.error(error),
      );
    }
    return 'mailed';
  },
);

/** Whose password a link sets, and whether they have passkeys; `null` for a link that opens nothing. */
export const findInvited = service('open', ({ db, nowMs }, secret: string) => {
  const account = invitations.findInvited(db, secret, nowMs);
  return account && { ...account, hasPasskeys: passkeys.listPasskeys(db, account.id).length > 0 };
});

/**
 * Sets the password that a link is for, and ends every way in that was open before.
 *
 * @returns the account, or why the password cannot be taken; `null` where the link opens nothing any more.
 */
export const acceptInvitation = service(
  'open',
  async (
    { db, nowMs, source },
    secret: string,
    wish: { readonly password: string; readonly keepsPasskeys: boolean },
  ): Promise<Account | { readonly trouble: string } | null> => {
    const account = invitations.findInvited(db, secret, nowMs);
    if (!account) return null;
    const trouble = passwordTrouble(wish.password, account.mail);
    if (trouble !== null) return { trouble };
    const hash = await hashPassword(wish.password);
    const now = new Date(nowMs).toISOString();
    return db
      .transaction(() => {
        // The same link pressed twice sets one password.
        if (!invitations.useInvitation(db, secret, nowMs)) return null;
        setPassword(db, account.id, hash, now, { keepsPasskeys: wish.keepsPasskeys });
        noteAccess(db, { what: 'password-set', accountId: account.id }, source, now);
        return account;
      })
      .immediate();
  },
);

/** Makes the first owner, where there is none. */
export const makeOwner = service(
  'open',
  async (call: ServiceCall, wish: OwnerWish, code: string | undefined) => {
    const made = await make(call.db, wish, code);
    if ('id' in made)
      noteAccess(
        call.db,
        { what: 'account-opened', accountId: made.id, detail: wish.name },
        call.source,
        new Date(call.nowMs).toISOString(),
      );
    return made;
  },
);
