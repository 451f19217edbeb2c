import { abatementFirst, reachOfNewPipe, verdictOfNewPipe } from './families';
import { methodOf } from './method';

export const slabBreak = methodOf({
  id: 'slab-break',
  name: 'Break the slab and replace',
  verb: 'Break the slab and replace',
  role: 'replace',
  order: 42,
  lifeYears: 70,
  by: 'a licensed plumber',
  grounds: ['slab'],
  needsPermit: true,
  price: { visit: 'slab-break.visit', each: 'slab-break.each', foot: 'slab-break.foot' },
  firstIn: abatementFirst,
  reach: reachOfNewPipe,
  verdict: verdictOfNewPipe,
});
