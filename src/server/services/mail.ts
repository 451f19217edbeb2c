import { deliver, tryAgain } from '../delivery/deliver';
import * as outbox from '../delivery/outbox';
import { smtpAdapter, smtpSettings } from '../delivery/smtp';
import { Refusal } from '../http/answer';
import { callerHasJobRight, callerHasRight, refusalTo } from '../security/caller';
import { guardedService, service, type ServiceCall } from './service';

/** Mail about a job is for who may send it; mail to people of the firm, for who may let them in. */
function requireMail({ db, caller }: ServiceCall, messageId: string): void {
  const jobId = outbox.jobOfMessage(db, messageId);
  const may =
    jobId === null
      ? callerHasRight(db, caller, 'people', false)
      : jobId !== undefined && callerHasJobRight(db, caller, 'mail', jobId);
  if (!may) throw refusalTo(caller, 'message');
}

/** Makes a service of one message of the outbox, whose id is its first argument. */
const messageService = <Args extends unknown[], Result>(
  run: (call: ServiceCall, messageId: string, ...args: Args) => Result,
) =>
  guardedService(
    'mail',
    (call, messageId: string, ..._args: Args) => requireMail(call, messageId),
    run,
  );

/** The messages that the caller may read, the latest first. */
export const listOutbox = service('mail', ({ db, caller }) =>
  outbox.listOutbox(db, { readBy: caller }),
);

/** One attachment of a message; `null` when there is none. */
export const findAttachment = messageService(({ db }, id, position: number) =>
  outbox.findAttachment(db, id, position),
);

/** Hands a message that was not taken to the mail service once more. */
export const sendAgain = messageService(async ({ db, nowMs }, id) => {
  const smtp = smtpSettings(process.env);
  if (!smtp)
    throw new Refusal(
      409,
      'no-mail-service',
      'No email service is set up: set CHERT_SMTP and CHERT_MAIL_FROM, and start Chert again.',
    );
  if (!tryAgain(db, id, nowMs))
    throw new Refusal(409, 'not-to-be-sent', 'This message was sent already, or is not there.');
  return deliver(db, smtpAdapter(smtp), id, nowMs);
});
