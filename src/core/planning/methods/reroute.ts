import { reachUnderFloor, verdictOfNewPipe } from './families';
import { methodOf } from './method';

/** A new way round the house replaces all that lies under its floor, once: the old pipe stays in the ground, uncut. */
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
  price: { visit: 'reroute.visit', foot: 'reroute.foot', tee: 'liner.tee' },
  reach: reachUnderFloor,
  verdict: verdictOfNewPipe,
});
