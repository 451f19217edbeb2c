import type { Database } from 'better-sqlite3';
import { readPlace } from '#core/office/travel';
import { Refusal } from '../http/answer';
import { formText } from '../http/form-text';
import { noteAccess, type RequestSource } from '../security/access-log';
import { findAccount, passwordOf, setHome, setMail, setPassword, setReminded } from './accounts';
import { confirmPerson } from './confirm';
import { endAccess } from './end-access';
import { endFeed, makeFeed } from './feed';
import { mailTrouble } from './make-owner';
import { endPasskey } from './passkeys';
import { hashPassword, isPassword, passwordTrouble } from './passwords';
import { confirmSession, endDevice, type SignedIn } from './sessions';

/** What came of a press, in a sentence. */
export type ActionResult = {
  readonly said: string;
  readonly isTrouble?: boolean;
  /** Whether the password is wanted again before it is done. */
  readonly wantsPassword?: boolean;
  /** The secret of a calendar that was just made. */
  readonly feed?: string;
};

/** Who presses, where, and when. */
export type Actor = {
  readonly who: SignedIn;
  readonly source: RequestSource;
  readonly nowMs: number;
};

const trouble = (said: string): ActionResult => ({ said, isTrouble: true });

/** What changes a way in, and asks for the password again. */
const WAYS_IN = new Set(['feed', 'mail', 'confirm', 'end-others']);

/** Does what somebody's form on their own account asks for. */
export async function actOnMe(db: Database, actor: Actor, form: FormData): Promise<ActionResult> {
  const { who, nowMs } = actor;
  const action = formText(form, 'do');
  if (WAYS_IN.has(action)) {
    const confirmed = await confirmPerson(db, who, formText(form, 'confirm'), nowMs);
    if (confirmed.state === 'wanted')
      return { said: confirmed.said, isTrouble: true, wantsPassword: true };
    if (confirmed.isFresh) note(db, actor, 'access-confirmed');
  }
  try {
    return action === 'password'
      ? await changePassword(db, actor, form)
      : db.transaction(() => act(db, actor, action, form)).immediate();
  } catch (error) {
    if (error instanceof Refusal) return trouble(error.message);
    throw error;
  }
}

const note = (
  db: Database,
  { who, source, nowMs }: Actor,
  what: Parameters<typeof noteAccess>[1]['what'],
  detail = '',
) => noteAccess(db, { what, accountId: who.id, detail }, source, new Date(nowMs).toISOString());

function act(db: Database, actor: Actor, action: string, form: FormData): ActionResult {
  const { who, nowMs } = actor;
  const text = (name: string) => formText(form, name);
  const now = new Date(nowMs).toISOString();
  switch (action) {
    case 'confirm':
      return { said: 'Confirmed. For ten minutes you are not asked again.' };
    case 'end':
      if (!endDevice(db, who.id, text('id'), now))
        return trouble('That device was signed out already.');
      note(db, actor, 'session-ended');
      return { said: 'That device is signed out, and told to forget what it keeps.' };
    case 'end-others':
      endAccess(db, who.id, now, {
        sessionId: who.sessionId,
        keepsPasskeys: form.get('keep-passkeys') === 'on',
      });
      note(db, actor, 'access-ended', findAccount(db, who.id)?.name);
      return { said: 'You are signed in on this device only. Your calendar address is removed.' };
    case 'remove-passkey':
      if (!endPasskey(db, who.id, text('id'), now))
        return trouble('That passkey was removed already.');
      note(db, actor, 'passkey-ended');
      return { said: 'The passkey is removed.' };
    case 'mail': {
      const why = mailTrouble(text('mail'));
      if (why !== null) return trouble(why);
      setMail(db, who.id, text('mail'));
      note(db, actor, 'mail-changed', text('mail'));
      return { said: `You sign in as ${text('mail').trim()} from now on.` };
    }
    case 'feed':
      note(db, actor, 'calendar-made');
      return { said: 'The address is made.', feed: makeFeed(db, who.id, now) };
    case 'end-feed':
      endFeed(db, who.id);
      note(db, actor, 'calendar-ended');
      return { said: 'The address no longer works.' };
    case 'reminders':
      setReminded(db, who.id, form.get('reminded') === 'on');
      return { said: 'Saved.' };
    case 'home':
      if (text('home').trim() !== '' && !readPlace(text('home')))
        return trouble('Expected two numbers, such as 45.52, -122.68. Nothing was changed.');
      setHome(db, who.id, text('home'));
      return { said: 'Saved.' };
    default:
      return trouble('Chert did not understand that request. Nothing was changed.');
  }
}

async function changePassword(db: Database, actor: Actor, form: FormData): Promise<ActionResult> {
  const { who, nowMs } = actor;
  const [before, password] = [formText(form, 'before'), formText(form, 'password')];
  if (!(await isPassword(before, passwordOf(db, who.id))))
    return trouble('The current password is not right. Nothing was changed.');
  const why = passwordTrouble(password, findAccount(db, who.id)?.mail ?? '');
  if (why !== null) return trouble(why);
  const hash = await hashPassword(password);
  const now = new Date(nowMs).toISOString();
  db.transaction(() => {
    setPassword(db, who.id, hash, now, {
      sessionId: who.sessionId,
      keepsPasskeys: form.get('keep-passkeys') === 'on',
    });
    confirmSession(db, who, now);
    note(db, actor, 'password-set');
  }).immediate();
  return {
    said: 'Your password is changed. Your other devices are signed out, and your calendar address is removed.',
  };
}
