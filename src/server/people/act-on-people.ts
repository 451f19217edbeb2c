import type { Database } from 'better-sqlite3';
import { type Role, ROLES } from '#core/office/roles';
import { Refusal } from '../http/answer';
import { formText } from '../http/form-text';
import {
  type Account,
  closeAccount,
  createAccount,
  findAccount,
  reopenAccount,
  setRole,
} from './accounts';
import type { Done } from './act-on-me';
import { mailLink, sayMailed } from './mail-links';
import { mailTrouble } from './make-owner';
import { endSessions } from './sessions';

export type DoneToPeople = Done & {
  /** The path of a link that was just made, to be handed on. */
  readonly link?: string;
};

const trouble = (said: string): DoneToPeople => ({ said, isTrouble: true });
const roleOf = (text: string): Role | null => ROLES.find((role) => role === text) ?? null;

/** Does what an owner's form on people asks for. What would leave no owner is said, and nothing is changed. */
export async function actOnPeople(
  db: Database,
  form: FormData,
  origin: string,
  nowMs: number,
): Promise<DoneToPeople> {
  try {
    return await act(db, form, origin, nowMs);
  } catch (error) {
    if (error instanceof Refusal) return trouble(error.message);
    throw error;
  }
}

async function act(
  db: Database,
  form: FormData,
  origin: string,
  nowMs: number,
): Promise<DoneToPeople> {
  const text = (name: string) => formText(form, name);
  if (text('do') === 'invite') return inviteNew(db, text, origin, nowMs);
  const account = findAccount(db, text('id'));
  if (!account) return trouble('That account is not here.');
  return change(db, account, text, origin, nowMs);
}

type Text = (name: string) => string;

async function inviteNew(
  db: Database,
  text: Text,
  origin: string,
  nowMs: number,
): Promise<DoneToPeople> {
  const [name, mail, role] = [text('name'), text('mail'), roleOf(text('role'))];
  if (name.trim() === '') return trouble('Enter a name: it is shown beside what they do.');
  const why = mailTrouble(mail);
  if (why !== null) return trouble(why);
  if (!role) return trouble('Choose a role.');
  const { id } = createAccount(db, { name, mail, role }, new Date(nowMs).toISOString());
  const link = await mailLink(db, findAccount(db, id)!, 'invitation', origin, nowMs);
  return { said: `${name.trim()} is invited. ${sayMailed(mail.trim())}`, link };
}

async function change(
  db: Database,
  account: Account,
  text: Text,
  origin: string,
  nowMs: number,
): Promise<DoneToPeople> {
  const { id, name, mail } = account;
  const now = new Date(nowMs).toISOString();
  switch (text('do')) {
    case 'role': {
      const role = roleOf(text('role'));
      if (!role) return trouble('Choose a role.');
      setRole(db, id, role);
      return { said: `${name} is changed.` };
    }
    case 'link': {
      const kind = account.hasPassword ? 'reset' : 'invitation';
      return {
        said: `A link to set a password is made. ${sayMailed(mail)}`,
        link: await mailLink(db, account, kind, origin, nowMs),
      };
    }
    case 'sign-out':
      endSessions(db, id, now);
      return { said: `${name} is signed out everywhere.` };
    case 'close':
      closeAccount(db, id, now);
      return { said: `${name}’s account is closed. What they did keeps their name.` };
    case 'reopen':
      reopenAccount(db, id);
      return { said: `${name}’s account is open again.` };
    default:
      return trouble('Chert did not understand that request. Nothing was changed.');
  }
}
