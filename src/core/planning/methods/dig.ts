import { abatementFirst, reachOfNewPipe, verdictOfNewPipe } from './families';
import { methodOf } from './method';

export const dig = methodOf({
  id: 'dig',
  name: 'Dig and replace',
  verb: 'Dig and replace',
  role: 'replace',
  order: 40,
  lifeYears: 70,
  by: 'a licensed plumber or sewer contractor',
  grounds: ['open'],
  opensGround: true,
  needsPermit: true,
  price: { visit: 'dig.visit', each: 'dig.each', foot: 'dig.foot' },
  firstIn: abatementFirst,
  reach: reachOfNewPipe,
  verdict: verdictOfNewPipe,
});
