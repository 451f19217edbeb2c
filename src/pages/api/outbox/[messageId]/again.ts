import { database } from '#server/database';
import { deliver, tryAgain } from '#server/delivery/deliver';
import { smtpAdapter, smtpSettings } from '#server/delivery/smtp';
import { answer, Refusal } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';

/** Hands a message that was not taken to the email service once more. */
export const POST = endpoint(async ({ params }) => {
  const smtp = smtpSettings(process.env);
  if (!smtp)
    throw new Refusal(
      409,
      'no-mail-service',
      'No email service is set up: set CHERT_SMTP and CHERT_MAIL_FROM, and start Chert again.',
    );
  const id = params['messageId'] ?? '';
  const nowMs = Date.now();
  if (!tryAgain(database(), id, nowMs))
    throw new Refusal(409, 'not-to-be-sent', 'This message was sent already, or is not there.');
  return answer({ id, state: await deliver(database(), smtpAdapter(smtp), id, nowMs) });
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
