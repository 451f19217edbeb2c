import { hasTrait } from '../../catalogue/defects/kinds';
import { reachOfCleaning, whyNoForce, whyNoForceAt } from './families';
import { cannot, cures, holds, methodOf } from './method';

export const jet = methodOf({
  id: 'jet',
  name: 'Jet with water',
  verb: 'Jet',
  role: 'clean',
  order: 50,
  by: 'a drain cleaner with a jetter',
  runsFromWayIn: true,
  needsCleanout: true,
  price: { visit: 'jet.visit', foot: 'jet.foot' },
  reach: reachOfCleaning,
  verdict: ({ kind }) => {
    if (hasTrait(kind, 'flushed')) return cures('it flushes out what lies there');
    if (kind === 'roots') return holds('roots come back: the way in remains');
    if (kind === 'grease') return cures('it washes the grease out; it comes back with the cooking');
    if (kind === 'standing-water')
      return cannot('it clears what the sag has caught and leaves the sag');
    return null;
  },
  barredBy: whyNoForceAt,
  barredIn: (cell, site, lineId) => whyNoForce(cell, site, lineId, 'jet'),
});
