import type { FindingKind } from '../../judge/finding';
import { reachOfCleaning, whyNoForce, whyNoForceAt } from './families';
import { cannot, cures, holds, methodOf } from './method';

/** What a jet takes out. */
const FLUSHED: readonly FindingKind[] = ['debris', 'foreign-object'];

export const jet = methodOf({
  id: 'jet',
  name: 'Jet with water',
  verb: 'Jet',
  role: 'clean',
  order: 50,
  by: 'a drain cleaner with a jetter',
  needsCleanout: true,
  price: { visit: 'jet.visit', foot: 'jet.foot' },
  reach: reachOfCleaning,
  verdict: ({ kind }) => {
    if (FLUSHED.includes(kind)) return cures('it flushes out what lies there');
    if (kind === 'roots') return holds('roots come back: the way in remains');
    if (kind === 'grease') return cures('it washes the grease out; it comes back with the cooking');
    if (kind === 'standing-water')
      return cannot('it clears what the sag has caught and leaves the sag');
    return null;
  },
  barredBy: whyNoForceAt,
  barredIn: (cell, site, lineId) => whyNoForce(cell, site, lineId, 'jet'),
});
