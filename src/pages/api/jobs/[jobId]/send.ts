import Joi from 'joi';
import { ulid } from 'ulid';
import { faultsFromJoi } from '#core/base/fault';
import { prose, VALIDATION, words } from '#core/base/joi';
import { READERS } from '#core/report/documents';
import { database } from '#server/database';
import { simulatedOutbox } from '#server/delivery/outbox';
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

/** Sends the issued report: into the simulated outbox, where it can be looked at. */
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
  const mail = simulatedOutbox(database(), jobId, ulid, () => new Date().toISOString());
  return answer(await mail.send({ to, subject, text, attachments }), 201);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
