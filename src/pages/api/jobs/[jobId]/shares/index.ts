import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { line, oneOf, VALIDATION } from '#core/base/joi';
import { type Reader, READERS } from '#core/report/documents';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod, requireJobId } from '#server/http/params';
import { createShare, listShares } from '#server/services/reports';

type Wish = { readonly label: string; readonly days: number; readonly reader?: Reader };
const schema = Joi.object<Wish>({
  label: line(120).required(),
  days: Joi.number().integer().min(1).max(365).required(),
  reader: oneOf(READERS),
});

/** Makes a link to the issued report. Its path is told this once. */
export const POST = endpoint(async (context) => {
  const jobId = requireJobId(context);
  const wish = await readJson(context.request, BODY_LIMITS.record);
  const { error } = schema.required().validate(wish, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { reader = 'buyer', ...rest } = wish as Wish;
  return answer(createShare(context.locals.call, jobId, { ...rest, reader }), 201);
});

export const GET = endpoint((context) =>
  answer({ links: listShares(context.locals.call, requireJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET or POST');
});
