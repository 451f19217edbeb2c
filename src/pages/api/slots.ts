import Joi from 'joi';
import { faultsFromJoi } from '#core/base/fault';
import { day, VALIDATION } from '#core/base/joi';
import { readPlace } from '#core/office/travel';
import { answer, refuseFaults } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { offerSlots } from '#server/services/office';

type Asked = {
  readonly from: string;
  readonly fromMin?: string;
  readonly lengthMin?: string;
  readonly endsOn?: string;
  readonly place?: string;
};
const digits = () => Joi.string().pattern(/^\d{1,4}$/, 'whole minutes');
const schema = Joi.object<Asked>({
  from: day().required(),
  fromMin: digits(),
  lengthMin: digits(),
  endsOn: day(),
  place: Joi.string().allow('').max(60),
});

/** How far ahead free times are looked for, days. */
const AHEAD_DAYS = 21;
/** A look of which nothing is known takes so long, minutes. */
const USUAL_MIN = 75;

/** The first free times for a look: `?from=YYYY-MM-DD`, with `fromMin`, `lengthMin`, `endsOn` and `place` where they are known. */
export const GET = endpoint(({ url, locals }) => {
  const asked = Object.fromEntries([...url.searchParams].filter(([, value]) => value !== ''));
  const { error } = schema.validate(asked, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { from, fromMin, lengthMin, endsOn, place } = asked as Asked;
  return answer({
    slots: offerSlots(locals.call, {
      from,
      days: AHEAD_DAYS,
      lengthMin: Number(lengthMin ?? USUAL_MIN),
      place: readPlace(place ?? ''),
      periodEndsOn: endsOn ?? null,
      ...(fromMin === undefined ? {} : { fromMin: Number(fromMin) }),
    }),
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
