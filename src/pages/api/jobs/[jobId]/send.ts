import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { prose, VALIDATION, words } from '#core/base/joi';
import { READERS } from '#core/report/documents';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod, requireJobId } from '#server/http/params';
import { type MailWish, sendReport } from '#server/services/reports';

const ATTACHABLE = [...READERS.map((reader) => `${reader}.pdf`), 'calendar.ics'];
const schema = Joi.object<MailWish>({
  to: Joi.string().email({ tlds: false }).max(200).required(),
  // One line: a line break here would be another header.
  subject: words(200)
    .pattern(/^[^\r\n]*$/, 'one line')
    .required(),
  text: prose().required(),
  attach: Joi.array()
    .items(Joi.string().valid(...ATTACHABLE))
    .required(),
});

/** Sends the issued report: filed in the outbox first, and handed to the email service where one is set up. */
export const POST = endpoint(async (context) => {
  const jobId = requireJobId(context);
  const wish = await readJson(context.request, BODY_LIMITS.record);
  const { error } = schema.required().validate(wish, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  return answer(await sendReport(context.locals.call, jobId, wish as MailWish), 201);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
