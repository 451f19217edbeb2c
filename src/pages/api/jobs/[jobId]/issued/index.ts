import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { line, VALIDATION } from '#core/base/joi';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod, requireJobId } from '#server/http/params';
import type { IssueWish } from '#server/issue-report';
import { issueReport, listIssued } from '#server/services/reports';
import { printPdf } from '../../../../../pdf/print-pdf';

const schema = Joi.object<IssueWish>({
  reason: line(2000).required(),
  limits: line(2000).required(),
});

/** Issues the report: freezes it as the next version. */
export const POST = endpoint(async (context) => {
  const jobId = requireJobId(context);
  const wish = await readJson(context.request, BODY_LIMITS.record);
  const { error } = schema.required().validate(wish, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { reason, limits } = wish as IssueWish;
  const trimmed = { reason: reason.trim(), limits: limits.trim() };
  return answer(await issueReport(context.locals.call, jobId, trimmed, printPdf), 201);
});

export const GET = endpoint((context) =>
  answer({ versions: listIssued(context.locals.call, requireJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
