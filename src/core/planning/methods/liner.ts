import { isPipeOf } from '../../catalogue/materials/kinds';
import {
  isThinIron,
  reachOfNewPipe,
  verdictOfLiner,
  whyNoForce,
  whyNoForceAt,
  whyNoLinerPasses,
  whyNoNewInsideOver,
} from './families';
import { methodOf } from './method';

/** The least bore that is lined, inches. */
const LEAST_IN = 3;

export const liner = methodOf({
  id: 'liner',
  name: 'Line the pipe',
  verb: 'Line',
  role: 'mend',
  extent: 'stretch',
  order: 60,
  lifeYears: 40,
  by: 'a licensed lining contractor',
  needsPermit: true,
  needsCleanout: true,
  price: { visit: 'liner.visit', each: 'liner.each', foot: 'liner.foot', tee: 'liner.tee' },
  firstIn: ({ material }) => (isPipeOf('iron', material) ? ['jet', 'descale'] : ['jet']),
  reach: reachOfNewPipe,
  verdict: verdictOfLiner,
  barredBy: (finding) =>
    whyNoLinerPasses(finding) ??
    whyNoNewInsideOver(finding) ??
    whyNoForceAt(finding) ??
    (isThinIron(finding) ? 'the iron is too thin to be descaled for it' : null),
  barredIn: (cell, site, lineId) =>
    cell.diameterIn !== null && cell.diameterIn < LEAST_IN
      ? 'no liner is pulled or turned into pipe under 3 in'
      : whyNoForce(cell, site, lineId, 'jet'),
});
