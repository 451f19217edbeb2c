import { roundTo } from '../../base/numbers';
import type { CalloutContext } from '../draft';
import type { Sheet } from '../sheet';
import type { Amount } from '../terms';

export type Clock = { readonly from: number; readonly to: number | null };

/** A bare number this close to the counter is taken for a footage, feet. */
const NEAR_COUNTER_FT = 3;

/** Whether a number can stand on a clock face, in half hours. */
const isHour = (value: number) => value >= 0.5 && value <= 12 && Number.isInteger(value * 2);
const asHour = (value: number) => roundTo(value, 1);

/**
 * Claims a clock position or an arc: "10 to 2 o'clock", "at 6 o'clock", "crown", "left side".
 *
 * @param bareToo whether "2 to 11" and "3" without "o'clock" may be meant: for things that sit at one
 *   place of the pipe. Where such a number could be a footage as well, both are offered.
 */
export function takeClock(sheet: Sheet, context: CalloutContext, bareToo: boolean): Clock | null {
  const said = sheet.takeAmount(
    ({ unit, value, to }) => unit === 'hour' && isHour(value) && (to === null || isHour(to)),
  );
  if (said) return { from: asHour(said.value), to: said.to === null ? null : asHour(said.to) };
  // "along the top, ten to two": the arc says more than the name.
  const arc = bareToo && sheet.has('hour') ? takeBareArc(sheet, context) : null;
  const named = sheet.take('hour');
  if (arc) return arc;
  if (named !== null) return { from: Number(named), to: null };
  if (!bareToo) return null;
  return takeBareArc(sheet, context) ?? takeBareHour(sheet, context);
}

const isNear = (context: CalloutContext, amount: Amount) =>
  context.counterFt !== null &&
  context.counterFt >= Math.min(amount.value, amount.to ?? amount.value) - NEAR_COUNTER_FT &&
  context.counterFt <= Math.max(amount.value, amount.to ?? amount.value) + NEAR_COUNTER_FT;

function takeBareArc(sheet: Sheet, context: CalloutContext): Clock | null {
  const arc = sheet
    .amounts()
    .find(
      ({ amount }) =>
        amount.unit === null &&
        amount.to !== null &&
        amount.link !== 'from' &&
        isHour(amount.value) &&
        isHour(amount.to),
    );
  if (!arc || sheet.settled(arc.index) === 'ft') return null;
  const isFootage = isNear(context, arc.amount) && sheet.amounts().length === 1;
  if (isFootage) sheet.doubt(arc.index, ['hour', 'ft']);
  sheet.claim(arc.index);
  return { from: asHour(arc.amount.value), to: asHour(arc.amount.to!) };
}

/** "at 3" next to another number is an hour; alone and far from the counter it is asked about. */
function takeBareHour(sheet: Sheet, context: CalloutContext): Clock | null {
  const bare = sheet.amounts().filter(({ amount }) => amount.unit === null && amount.to === null);
  const hours = bare.filter(
    ({ amount }) =>
      isHour(amount.value) &&
      amount.link !== 'from' &&
      amount.link !== 'to' &&
      amount.link !== 'for',
  );
  const others = sheet
    .amounts()
    .filter(({ amount }) => amount.unit === 'ft' || amount.unit === null);
  if (hours.length === 0) return null;
  if (others.length > 1) {
    const far = hours.filter(({ amount }) => !isNear(context, amount));
    const one = far.length === 1 ? far[0]! : hours.length < others.length ? hours[0]! : null;
    if (!one || sheet.settled(one.index) === 'ft') return null;
    if (others.every(({ amount }) => isHour(amount.value))) sheet.doubt(one.index, ['hour', 'ft']);
    sheet.claim(one.index);
    return { from: asHour(one.amount.value), to: null };
  }
  const alone = hours[0]!;
  if (!isNear(context, alone.amount)) sheet.doubt(alone.index, ['ft', 'hour']);
  return null;
}
