import type { Said } from '../../../testing/build';
import { defect, line, pool, type RuleCase } from '../../../testing/rules';

const roots = (extentRatio: number) => defect('roots', { extentRatio, locus: 'joint' });
const gap = (readingFt: number) => defect('gap', { gapIn: 2, readingFt });
const toLine = { job: { responsibility: 'to-property-line' as const } };
const propertyLine = (readingFt: number): Said => ({
  kind: 'feature',
  feature: 'property-line',
  readingFt,
});
const underHouse: Said = { kind: 'zone', zone: 'under-house', side: 'near', readingFt: 32 };
const drain = { job: { scope: 'lateral-and-building-drain' as const } };
const driveway = (readingFt: number): Said => ({
  kind: 'zone',
  zone: 'driveway',
  side: 'far',
  readingFt,
});

export const ORDER_CASES: Readonly<Record<string, readonly RuleCase[]>> = {
  'upkeep-or-repair': [
    { fires: line([roots(0.2)]), spares: line([roots(0.05)]), says: /a backup now and then/ },
    {
      fires: line([roots(0.2)]),
      spares: line([roots(0.2)], { job: { profile: 'renew-first' } }),
      says: /more than one repair/,
    },
  ],
  'look-then-decide': [
    {
      fires: line([{ kind: 'water', state: 'running' }, pool()]),
      spares: line([pool()]),
      says: /Buy no repair before that look/,
    },
  ],
  'quantities-from-log': [
    {
      fires: line([defect('standing-water', { fillRatio: 0.5, open: true })]),
      spares: line([pool({ fillRatio: 0.5 })]),
      says: /where it ends was not logged/,
    },
  ],
  'public-side': [
    {
      fires: line([propertyLine(20), gap(30)], toLine),
      spares: line([propertyLine(40), gap(30)], toLine),
      says: /theirs to repair/,
    },
    {
      fires: line([propertyLine(20), gap(30)], toLine),
      spares: line([propertyLine(20), gap(30)]),
      says: /public side/,
    },
  ],
  'shared-pit': [
    {
      fires: line([gap(30), gap(34)]),
      spares: line([gap(30), gap(34.5)]),
      says: /one pit with finding 2/,
    },
    {
      fires: line([underHouse, gap(30), gap(34)], drain),
      spares: line([driveway(32), gap(30), gap(34)], drain),
      says: /two jobs at two prices/,
    },
  ],
};
