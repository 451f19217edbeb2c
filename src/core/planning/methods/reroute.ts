import { reachOfNewPipe, verdictOfNewPipe } from './families';
import { methodOf } from './method';

/** A new way round the house leaves the old pipe in the ground: nothing of it is cut. */
export const reroute = methodOf({
  id: 'reroute',
  name: 'Lay a new way round',
  verb: 'Lay a new way round',
  role: 'replace',
  order: 43,
  lifeYears: 70,
  by: 'a licensed plumber',
  grounds: ['slab'],
  needsPermit: true,
  price: { visit: 'reroute.visit', foot: 'reroute.foot' },
  reach: reachOfNewPipe,
  verdict: verdictOfNewPipe,
});
