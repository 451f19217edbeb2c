import { sayIn } from '../../base/numbers';
import type { DefectSpec } from '../defect';
import { sayInches, saySoil } from '../say-size';
import { type Bounds, failBySoil, gradeSize, gradeUnsized, showsSoil } from '../severity/bounds';
import type { SeverityRow } from '../severity/grade';
import type { Thresholds } from '../severity/thresholds';

const boundsOf = (t: Thresholds): Bounds => ({
  moderateFrom: t.gapModerateFromIn,
  majorFrom: t.gapMajorFromIn,
  failedAbove: null,
});

const severity: SeverityRow = {
  base: (facts, thresholds) => {
    const rule = 'severity-gap';
    if (showsSoil(facts)) return failBySoil(rule);
    if (facts.gapIn === null) return gradeUnsized(rule, 'slight', 'the width of the gap');
    const text = `joint open by ${sayIn(facts.gapIn)} in`;
    const sized = { size: facts.gapIn, eyeError: facts.eyeSizeIn, text, thing: 'open joint' };
    return gradeSize(rule, sized, boundsOf(thresholds), facts);
  },
};

export const gap: DefectSpec = {
  name: 'Gap',
  buyer: { name: 'Open joint', trade: 'gap', plural: 'open joints' },
  said: 'gap|gaps|gapped|open {joint|seam}|joint [is] [a bit|a little|slightly] {open|opened|opened up}|joint gap|separated [joint]|separation|joint separation|pulled apart|pulled joint|joint pulled',
  size: { inches: 'gapIn', isHeight: true },
  wants: 'how many inches',
  severity,
  says: ({ facts }) =>
    (facts.gapIn === null || facts.byWord !== null
      ? 'A joint stands open.'
      : `A joint stands open by ${sayInches(facts.gapIn)}.`) + saySoil(facts),
  means: 'Water can leak out and roots can get in.',
  traits: ['structure', 'breaks', 'new-inside-ends', 'holds-waste', 'said-by-clock', 'opens-wall'],
  drawnAs: 'gap',
};
