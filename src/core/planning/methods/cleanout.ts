import { methodOf } from './method';

export const cleanout = methodOf({
  id: 'cleanout',
  name: 'Fit a cleanout',
  verb: 'Fit a cleanout',
  role: 'prepare',
  order: 10,
  lifeYears: 70,
  by: 'a licensed plumber',
  price: { each: 'cleanout.each' },
  verdict: () => null,
});
