import { cut } from './cut';
import { reachOfCleaning } from './families';
import { jet } from './jet';
import { holds, methodOf } from './method';

export const treatRoots = methodOf({
  id: 'treat-roots',
  name: 'Treat roots with foam',
  verb: 'Treat the roots',
  role: 'clean',
  order: 52,
  by: 'a licensed applicator',
  runsFromWayIn: true,
  needsCleanout: true,
  price: { visit: 'treat-roots.visit', foot: 'treat-roots.foot' },
  // Foam reaches what a cutter or a jet has opened; where neither may go, foam alone must do.
  firstIn: (cell, site, lineId) =>
    cut.barredIn(cell, site, lineId) === null
      ? ['cut']
      : jet.barredIn(cell, site, lineId) === null
        ? ['jet']
        : [],
  reach: reachOfCleaning,
  verdict: ({ kind }) =>
    kind === 'roots' ? holds('it slows the roots for a time: the way in remains') : null,
});
