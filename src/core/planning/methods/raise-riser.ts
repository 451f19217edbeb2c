import { methodOf } from './method';

export const raiseRiser = methodOf({
  id: 'raise-riser',
  name: 'Raise the buried riser',
  verb: 'Raise the buried riser to grade',
  role: 'prepare',
  order: 11,
  lifeYears: 70,
  by: 'a licensed plumber',
  price: { each: 'raise-riser.each' },
  verdict: () => null,
});
