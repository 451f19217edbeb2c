import Joi from 'joi';
import { ulid } from 'ulid';
import { faultsFromJoi } from '#core/base/fault';
import { prose, VALIDATION, words } from '#core/base/joi';
import { READERS } from '#core/report/documents';
import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { deliver } from '#server/delivery/deliver';
import { fileMessage } from '#server/delivery/outbox';
import { smtpAdapter, smtpSettings } from '#server/delivery/smtp';
import { answer, Refusal, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { knownJobId, refuseMethod } from '#server/http/params';
import { findIssuedFile, listIssued } from '#server/issued';

type Wish = {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly attach: readonly string[];
};
const ATTACHABLE = [...READERS.map((reader) => `${reader}.pdf`), 'calendar.ics'];
const schema = Joi.object<Wish>({
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
  const jobId = knownJobId(context);
  const wish = await readJson(context.request, BODY_LIMITS.record);
  const { error } = schema.required().validate(wish, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { to, subject, text, attach } = wish as Wish;
  const [latest] = listIssued(database(), jobId);
  if (!latest)
    throw new Refusal(
      409,
      'not-issued',
      'Nothing has been issued yet: issue the report, then send it.',
    );
  const attachments = attach.flatMap(
    (name) => findIssuedFile(database(), jobId, latest.number, name) ?? [],
  );
  const smtp = smtpSettings(process.env);
  const id = ulid();
  const nowMs = Date.now();
  const at = new Date(nowMs).toISOString();
  const message = { to, subject, text, attachments };
  fileMessage(database(), message, { id, jobId, at, isWaiting: smtp !== null });
  noteDeed(database(), jobId, { what: 'sent', detail: to }, context.locals.who, at);
  const state = smtp ? await deliver(database(), smtpAdapter(smtp), id, nowMs) : 'kept';
  return answer({ id, acceptedAt: at, state }, 201);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
