import { isPipeOf } from '../../catalogue/materials/kinds';
import { isThinIron, reachOfCleaning, whyNoForce, whyNoForceAt } from './families';
import { cures, methodOf } from './method';

export const descale = methodOf({
  id: 'descale',
  name: 'Descale',
  verb: 'Descale',
  role: 'clean',
  order: 53,
  lifeYears: 8,
  by: 'a drain contractor with the tool for it',
  needsCleanout: true,
  price: { visit: 'descale.visit', foot: 'descale.foot' },
  reach: reachOfCleaning,
  verdict: ({ kind, material }) => {
    if (kind !== 'scale' && kind !== 'mineral') return null;
    return cures(
      isPipeOf('iron', material)
        ? 'it takes the scale off; iron scales again in some years'
        : 'it takes the deposit off; it builds up again',
    );
  },
  barredBy: (finding) =>
    isThinIron(finding)
      ? 'the pipe is worn thin there: scraping would finish it'
      : whyNoForceAt(finding),
  barredIn: (cell, site, lineId) => whyNoForce(cell, site, lineId, 'scraper'),
});
