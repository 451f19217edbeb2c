import { hasTrait } from '../../catalogue/defects/kinds';
import { isPipeOf } from '../../catalogue/materials/kinds';
import { reachOfNewPipe, whyNoNewInsideOver } from './families';
import { cannot, cures, methodOf } from './method';

export const burst = methodOf({
  id: 'burst',
  name: 'Burst and pull new pipe',
  verb: 'Burst, pulling new pipe in',
  role: 'replace',
  order: 44,
  lifeYears: 60,
  by: 'a licensed contractor with the machine for it',
  grounds: ['open'],
  digsPits: true,
  needsPermit: true,
  price: { visit: 'burst.visit', each: 'burst.each', foot: 'burst.foot', tee: 'liner.tee' },
  reach: reachOfNewPipe,
  verdict: ({ kind }) => {
    if (kind === 'standing-water')
      return cannot('a burst keeps a sag: the new pipe follows the old');
    if (kind === 'collapse') return cannot('no rod can be pulled through a collapse');
    return hasTrait(kind, 'new-inside-ends') || kind === 'intruding-tap'
      ? cures('new pipe is pulled in where the old one was')
      : null;
  },
  barredBy: (finding) =>
    finding.kind === 'collapse' ? 'no rod goes through a collapse' : whyNoNewInsideOver(finding),
  barredIn: ({ material }, site, lineId) => {
    if (site.utilityLines.has(lineId)) return 'another utility runs through this line';
    if (material === 'asbestos-cement') return 'asbestos cement must not be burst';
    return isPipeOf('bursts', material) ? null : 'this kind of pipe does not burst';
  },
});
