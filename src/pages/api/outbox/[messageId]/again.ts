import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { sendAgain } from '#server/services/mail';

/** Hands a message that was not taken to the email service once more. */
export const POST = endpoint(async ({ params, locals }) => {
  const id = params['messageId'] ?? '';
  return answer({ id, state: await sendAgain(locals.call, id) });
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
