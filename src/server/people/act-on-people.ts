import type { Database } from 'better-sqlite3';
import type { AccessEvent } from '#core/office/access-events';
import { type Role, ROLE_WORDS, ROLES } from '#core/office/roles';
import { Refusal } from '../http/answer';
import { formText } from '../http/form-text';
import { noteAccess } from '../security/access-log';
import {
  type Account,
  closeAccount,
  createAccount,
  findAccount,
  reopenAccount,
  setRole,
} from './accounts';
import type { ActionResult, Actor } from './act-on-me';
import { confirmPerson } from './confirm';
import { endAccess } from './end-access';
import { endFeed } from './feed';
import { mailLink, sayMailed } from './mail-links';
import { mailTrouble } from './make-owner';
import { endPasskey } from './passkeys';
import { endDevice } from './sessions';

export type PeopleResult = ActionResult & {
  /** The path of a link that was just made, to be handed on: shown this once, to who made it. */
  readonly link?: string;
};

const trouble = (said: string): PeopleResult => ({ said, isTrouble: true });
const roleOf = (text: string): Role | null => ROLES.find((role) => role === text) ?? null;

/** What lets somebody in, and asks for the password again. */
const WAYS_IN = new Set(['invite', 'role', 'link', 'reopen']);

/** What a form asks for, by whom, and where links lead. */
type Press = Actor & {
  readonly text: (name: string) => string;
  readonly origin: string;
  readonly now: string;
};

/** Does what an owner's form on people asks for. What would leave no owner is said, and nothing is changed. */
export async function actOnPeople(
  db: Database,
  actor: Actor,
  form: FormData,
  origin: string,
): Promise<PeopleResult> {
  const { who, source, nowMs } = actor;
  const press: Press = {
    ...actor,
    text: (name) => formText(form, name),
    origin,
    now: new Date(nowMs).toISOString(),
  };
  if (WAYS_IN.has(press.text('do'))) {
    const confirmed = await confirmPerson(db, who, press.text('confirm'), nowMs);
    if (confirmed.state === 'wanted')
      return { said: confirmed.said, isTrouble: true, wantsPassword: true };
    if (confirmed.isFresh)
      noteAccess(db, { what: 'access-confirmed', accountId: who.id }, source, press.now);
  }
  try {
    if (press.text('do') === 'invite') return await inviteNew(db, press);
    const account = findAccount(db, press.text('id'));
    return account ? await change(db, account, press) : trouble('That account is not here.');
  } catch (error) {
    if (error instanceof Refusal) return trouble(error.message);
    throw error;
  }
}

const note = (db: Database, { who, source, now }: Press, what: AccessEvent, detail: string) =>
  noteAccess(db, { what, accountId: who.id, detail }, source, now);

async function inviteNew(db: Database, press: Press): Promise<PeopleResult> {
  const { text, origin, now, nowMs } = press;
  const [name, mail, role] = [text('name'), text('mail'), roleOf(text('role'))];
  if (name.trim() === '') return trouble('Enter a name: it is shown beside what they do.');
  const why = mailTrouble(mail);
  if (why !== null) return trouble(why);
  if (!role) return trouble('Choose a role.');
  const { id } = createAccount(db, { name, mail, role }, now);
  note(db, press, 'account-opened', `${name.trim()}, ${ROLE_WORDS[role].name}`);
  const link = await mailLink(db, findAccount(db, id)!, 'invitation', origin, nowMs);
  return { said: `${name.trim()} is invited. ${sayMailed(mail.trim())}`, link };
}

async function change(db: Database, account: Account, press: Press): Promise<PeopleResult> {
  const { text, origin, nowMs } = press;
  if (text('do') !== 'link')
    return db.transaction(() => changeAtOnce(db, account, press)).immediate();
  const kind = account.hasPassword ? 'reset' : 'invitation';
  note(db, press, 'password-link', account.name);
  return {
    said: `A link to set a password is made. ${sayMailed(account.mail)}`,
    link: await mailLink(db, account, kind, origin, nowMs),
  };
}

function changeAtOnce(db: Database, { id, name }: Account, press: Press): PeopleResult {
  const { text, now } = press;
  switch (text('do')) {
    case 'role': {
      const role = roleOf(text('role'));
      if (!role) return trouble('Choose a role.');
      setRole(db, id, role, now);
      note(db, press, 'role-changed', `${name}: ${ROLE_WORDS[role].name}`);
      return { said: `${name} is changed, and signs in anew.` };
    }
    case 'sign-out':
      endAccess(db, id, now);
      note(db, press, 'access-ended', name);
      return { said: `${name} is signed out everywhere: devices, passkeys, calendar and links.` };
    case 'end-session':
      if (!endDevice(db, id, text('what'), now))
        return trouble('That device was signed out already.');
      note(db, press, 'session-ended', name);
      return { said: `That device of ${name} is signed out, and told to forget what it keeps.` };
    case 'end-passkey':
      if (!endPasskey(db, id, text('what'), now))
        return trouble('That passkey was removed already.');
      note(db, press, 'passkey-ended', name);
      return { said: `That passkey of ${name} is removed.` };
    case 'end-calendar':
      endFeed(db, id);
      note(db, press, 'calendar-ended', name);
      return { said: `The calendar address of ${name} no longer works.` };
    case 'close':
      closeAccount(db, id, now);
      note(db, press, 'account-closed', name);
      return { said: `${name}’s account is closed. What they did keeps their name.` };
    case 'reopen':
      reopenAccount(db, id);
      note(db, press, 'account-reopened', name);
      return { said: `${name}’s account is open again.` };
    default:
      return trouble('Chert did not understand that request. Nothing was changed.');
  }
}
