import Joi from 'joi';
import { ulid } from 'ulid';
import { faultsFromJoi } from '#core/base/fault';
import { line, oneOf, VALIDATION } from '#core/base/joi';
import { type Reader, READERS } from '#core/report/documents';
import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { answer, Refusal, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { knownJobId, refuseMethod } from '#server/http/params';
import { timeOf } from '#server/installation';
import { listIssued } from '#server/issued';
import { createShare, listShares } from '#server/shares';

type Wish = { readonly label: string; readonly days: number; readonly reader?: Reader };
const schema = Joi.object<Wish>({
  label: line(120).required(),
  days: Joi.number().integer().min(1).max(365).required(),
  reader: oneOf(READERS),
});
const DAY_MS = 86_400_000;

/** Makes a link to the issued report. Its path is told this once. */
export const POST = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const wish = await readJson(context.request, BODY_LIMITS.record);
  const { error } = schema.required().validate(wish, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  if (listIssued(database(), jobId).length === 0)
    throw new Refusal(
      409,
      'not-issued',
      'Nothing has been issued yet: a link shows an issued report.',
    );
  const { label, days, reader = 'buyer' } = wish as Wish;
  const nowMs = timeOf(database(), Date.now());
  const link = {
    id: ulid(nowMs),
    label,
    reader,
    createdAt: new Date(nowMs).toISOString(),
    expiresAt: new Date(nowMs + days * DAY_MS).toISOString(),
  };
  const secret = createShare(database(), jobId, link);
  const deed = { what: 'link', detail: label || reader } as const;
  noteDeed(database(), jobId, deed, context.locals.who, link.createdAt);
  return answer({ ...link, revokedAt: null, path: `/r/${secret}` }, 201);
});

export const GET = endpoint((context) =>
  answer({ links: listShares(database(), knownJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
