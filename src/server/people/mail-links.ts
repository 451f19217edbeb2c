import type { Database } from 'better-sqlite3';
import { ulid } from 'ulid';
import { deliver } from '../delivery/deliver';
import { hideLink, LINK_HIDDEN } from '../delivery/hidden-links';
import { fileMessage } from '../delivery/outbox';
import { smtpAdapter, smtpSettings } from '../delivery/smtp';
import type { Account } from './accounts';
import { type InvitationKind, invite } from './invitations';

const TEXTS: Readonly<
  Record<
    InvitationKind,
    { readonly subject: string; readonly says: string; readonly until: string }
  >
> = {
  invitation: {
    subject: 'Your account on Chert',
    says: 'An account was made for you on Chert, where sewer scopes are booked, logged and reported. Set a password to sign in:',
    until: 'The link is good for five days and works once.',
  },
  reset: {
    subject: 'A new password for Chert',
    says: 'Somebody asked for a new password for your account on Chert. If it was you, set it here:',
    until:
      'The link is good for two hours and works once. If it was not you, leave it: nothing changes.',
  },
};

/**
 * Sends somebody a link to set a password, through the outbox, which shows the message without it.
 *
 * @param keepsOthers whether links made before still open.
 * @returns the path of the link, for who makes it to hand on.
 */
export async function mailLink(
  db: Database,
  account: Account,
  kind: InvitationKind,
  origin: string,
  nowMs: number,
  keepsOthers = false,
): Promise<string> {
  const path = `/join/${invite(db, account.id, kind, nowMs, keepsOthers)}`;
  const { subject, says, until } = TEXTS[kind];
  const text = `Hello ${account.name},\n\n${says}\n\n${LINK_HIDDEN}\n\n${until}`;
  const smtp = smtpSettings(process.env);
  const id = ulid(nowMs);
  const message = { to: account.mail, subject, text, attachments: [] };
  const at = new Date(nowMs).toISOString();
  db.transaction(() => {
    fileMessage(db, message, { id, jobId: null, at, isWaiting: smtp !== null });
    // Without a mail server nothing goes anywhere: whoever made the link hands it on.
    if (smtp) hideLink(db, id, `${origin}${path}`);
  }).immediate();
  if (smtp) await deliver(db, smtpAdapter(smtp), id, nowMs);
  return path;
}

/** What became of such a link, as the end of a sentence: without a mail service nothing goes anywhere. */
export const sayMailed = (mail: string): string =>
  smtpSettings(process.env)
    ? `The link goes to ${mail}.`
    : 'No email service is set up, so the link is not sent: pass it on yourself.';
