import Joi from 'joi';
import { type Fault, faultsFromJoi, type Outcome } from '../../base/fault';
import { day, id, instant, line, oneOf, safeId, VALIDATION, words } from '../../base/joi';
import { type Booking, periodFault } from './booking';
import { RESPONSIBILITIES, SCOPES } from './job';
import { positionSchema } from './property.schema';

export const bookingSchema = Joi.object<Booking>({
  id: safeId().required(),
  address: words(200).required(),
  client: words(200).required(),
  inspector: line(200).required(),
  scheduledFor: instant().required(),
  inspectionPeriodEndsOn: day(),
  scope: oneOf(SCOPES).required(),
  responsibility: oneOf(RESPONSIBILITIES).required(),
  assignedTo: id(),
  position: positionSchema,
  fee: line(60),
});

/** Checks a booking of unknown shape; the period may not end before the day of the scope. */
export function checkBooking(value: unknown): Outcome<Booking> {
  const { error } = bookingSchema
    .required()
    .validate(value, { ...VALIDATION, allowUnknown: false });
  if (error) return { ok: false, faults: faultsFromJoi(error) };
  const booking = value as Booking;
  const late = periodFault(booking);
  const faults = [...blankFaults(booking), ...(late ? [late] : [])];
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: booking };
}

function blankFaults(booking: Booking): Fault[] {
  return (['address', 'client'] as const)
    .filter((path) => booking[path].trim() === '')
    .map((path) => ({
      path,
      expected: 'text that is not blank',
      got: JSON.stringify(booking[path]),
    }));
}
