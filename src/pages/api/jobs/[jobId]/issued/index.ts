import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { line, VALIDATION } from '#core/base/joi';
import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { knownJobId, refuseMethod } from '#server/http/params';
import { issueReport, type IssueWish } from '#server/issue-report';
import { listIssued } from '#server/issued';
import { mediaStores } from '#server/media/places';
import { printPdf } from '../../../../../pdf/print-pdf';

const schema = Joi.object<IssueWish>({
  reason: line(2000).required(),
  limits: line(2000).required(),
});

/** Issues the report: freezes it as the next version. */
export const POST = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const wish = await readJson(context.request, BODY_LIMITS.record);
  const { error } = schema.required().validate(wish, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { reason, limits } = wish as IssueWish;
  const trimmed = { reason: reason.trim(), limits: limits.trim() };
  const nowMs = Date.now();
  const issued = await issueReport(database(), mediaStores(), jobId, trimmed, printPdf, nowMs);
  const deed = { what: 'issued', detail: String(issued.number) } as const;
  noteDeed(database(), jobId, deed, context.locals.who, new Date(nowMs).toISOString());
  return answer(issued, 201);
});

export const GET = endpoint((context) =>
  answer({ versions: listIssued(database(), knownJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
