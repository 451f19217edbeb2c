import type { Database } from 'better-sqlite3';
import { readPlace } from '#core/office/travel';
import { formText } from '../http/form-text';
import { passwordOf, setHome, setPassword, setReminded } from './accounts';
import { endFeed, makeFeed } from './feed';
import { removePasskey } from './passkeys';
import { hashPassword, isPassword, passwordTrouble } from './passwords';
import { endSession, endSessions, type SignedIn } from './sessions';

/** What came of a press, in a sentence. */
export type Done = {
  readonly said: string;
  readonly isTrouble?: boolean;
  /** The secret of a calendar that was just made. */
  readonly feed?: string;
};

const trouble = (said: string): Done => ({ said, isTrouble: true });

/** Does what somebody's form on their own account asks for. */
export async function actOnMe(
  db: Database,
  who: SignedIn,
  form: FormData,
  nowMs: number,
): Promise<Done> {
  const text = (name: string) => formText(form, name);
  const now = new Date(nowMs).toISOString();
  switch (text('do')) {
    case 'end':
      return endSession(db, who.id, text('id'), now)
        ? { said: 'That device is signed out.' }
        : trouble('That device was signed out already.');
    case 'end-others':
      endSessions(db, who.id, now, who.sessionId);
      return { said: 'You are signed in on this device only.' };
    case 'remove-passkey':
      return removePasskey(db, who.id, text('id'))
        ? { said: 'The passkey is removed.' }
        : trouble('That passkey was removed already.');
    case 'password':
      return changePassword(db, who, text('before'), text('password'), now);
    case 'feed':
      return { said: 'The address is made.', feed: makeFeed(db, who.id) };
    case 'end-feed':
      endFeed(db, who.id);
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

async function changePassword(
  db: Database,
  who: SignedIn,
  before: string,
  password: string,
  now: string,
): Promise<Done> {
  if (!(await isPassword(before, passwordOf(db, who.id))))
    return trouble('The current password is not right. Nothing was changed.');
  const why = passwordTrouble(password);
  if (why !== null) return trouble(why);
  setPassword(db, who.id, await hashPassword(password));
  endSessions(db, who.id, now, who.sessionId);
  return { said: 'Your password is changed, and your other devices are signed out.' };
}
