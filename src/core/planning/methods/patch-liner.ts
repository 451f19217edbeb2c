import { teesWithin } from '../bed';
import { bedOf } from '../site';
import { liner } from './liner';
import { cannot, methodOf } from './method';

/** What one short liner spans, feet, and how far it goes beyond a fault on each side. */
const LONGEST_FT = 4;
const BEYOND_FT = 1;

export const patchLiner = methodOf({
  ...liner,
  id: 'patch-liner',
  name: 'Short liner',
  verb: 'Set a short liner',
  order: 61,
  extent: 'spot',
  needsPermit: false,
  longestFt: LONGEST_FT,
  lifeYears: 25,
  price: { visit: 'patch-liner.visit', each: 'patch-liner.each', foot: 'patch-liner.foot' },
  reach: ({ span }) => ({ fromFt: span.fromFt - BEYOND_FT, toFt: span.toFt + BEYOND_FT }),
  verdict: (finding, site) => {
    const verdict = liner.verdict(finding, site);
    if (verdict?.does !== 'cure') return verdict;
    const reach = { fromFt: finding.span.fromFt - BEYOND_FT, toFt: finding.span.toFt + BEYOND_FT };
    if (reach.toFt - reach.fromFt > LONGEST_FT)
      return cannot(`a short liner spans ${LONGEST_FT} ft`);
    return teesWithin(bedOf(site, finding.lineId), reach).length > 0
      ? cannot('a short liner over a tee would close it')
      : verdict;
  },
});
