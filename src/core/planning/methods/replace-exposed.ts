import { abatementFirst, reachOfNewPipe, verdictOfNewPipe } from './families';
import { methodOf } from './method';

export const replaceExposed = methodOf({
  id: 'replace-exposed',
  name: 'Replace exposed pipe',
  verb: 'Replace exposed pipe',
  role: 'replace',
  order: 41,
  lifeYears: 70,
  by: 'a licensed plumber',
  grounds: ['hung'],
  needsPermit: true,
  price: {
    visit: 'replace-exposed.visit',
    each: 'replace-exposed.each',
    foot: 'replace-exposed.foot',
  },
  firstIn: abatementFirst,
  reach: reachOfNewPipe,
  verdict: verdictOfNewPipe,
});
