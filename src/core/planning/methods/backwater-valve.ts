import { methodOf } from './method';

export const backwaterValve = methodOf({
  id: 'backwater-valve',
  name: 'Backwater valve',
  verb: 'Fit a backwater valve',
  role: 'prepare',
  order: 12,
  lifeYears: 25,
  by: 'a licensed plumber',
  needsPermit: true,
  price: { each: 'backwater-valve.each' },
  verdict: () => null,
});
