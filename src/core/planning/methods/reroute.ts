import { reachOfNewPipe, verdictOfNewPipe } from './families';
import { methodOf } from './method';

/** A new way round the house leaves the old pipe in the ground: nothing of it is cut. */
export const reroute = methodOf({
  id: 'reroute',
  name: 'Reroute in new pipe',
  verb: 'Reroute in new pipe',
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
