import { whyNoForceAt } from './families';
import { cures, methodOf } from './method';

export const trimTap = methodOf({
  id: 'trim-tap',
  name: 'Trim the tap',
  verb: 'Trim the tap from inside',
  role: 'mend',
  order: 55,
  lifeYears: 40,
  by: 'a drain contractor with a cutting robot',
  needsCleanout: true,
  price: { each: 'trim-tap.each' },
  verdict: ({ kind }) =>
    kind === 'intruding-tap' ? cures('the robot cuts back what sticks in') : null,
  barredBy: whyNoForceAt,
  barredIn: ({ material }) =>
    material === 'asbestos-cement' ? 'asbestos cement must not be ground' : null,
});
