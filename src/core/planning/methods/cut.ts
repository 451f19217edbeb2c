import { reachOfCleaning, whyNoForce, whyNoForceAt } from './families';
import { holds, methodOf } from './method';

export const cut = methodOf({
  id: 'cut',
  name: 'Cut roots',
  verb: 'Cut the roots',
  role: 'clean',
  order: 51,
  by: 'a drain cleaner',
  runsFromWayIn: true,
  needsCleanout: true,
  price: { visit: 'cut.visit', foot: 'cut.foot' },
  reach: reachOfCleaning,
  verdict: ({ kind }) => (kind === 'roots' ? holds('roots come back: the way in remains') : null),
  barredBy: whyNoForceAt,
  barredIn: (cell, site, lineId) => whyNoForce(cell, site, lineId, 'cutter'),
});
