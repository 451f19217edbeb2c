import { sayIn, sayPercent } from '../../base/numbers';
import type { BaseGrade, DefectFacts, SeverityRow } from '../grade';
import { failBySoil, gradeSize, gradeUnsized, showsSoil, type Bounds } from './bounds';

const OFFSET_BOUNDS = { moderateFrom: 0.1, majorFrom: 0.25, failedAbove: 0.5 };
const LIP_BOUNDS = { moderateFrom: 0.05, majorFrom: 0.15, failedAbove: null };
const GAP_BOUNDS = { moderateFrom: 0.5, majorFrom: 1, failedAbove: null };

/** Grades a height in inches against the bore. */
function gradeHeight(
  rule: string,
  facts: DefectFacts,
  heightIn: number | null,
  name: string,
  bounds: Bounds,
): BaseGrade {
  if (heightIn === null) return gradeUnsized(rule, 'slight', `the height of the ${name}`);
  if (facts.boreIn === null) return gradeUnsized(rule, 'slight', 'the bore of the pipe here');
  const ratio = heightIn / facts.boreIn;
  const text = `${name} of ${sayIn(heightIn)} in, ${sayPercent(ratio)} of the bore`;
  const eyeError = facts.eyeSizeIn / facts.boreIn;
  return gradeSize(rule, { size: ratio, eyeError, text }, bounds, facts.byEye);
}

export const offset: SeverityRow = {
  kinds: ['offset'],
  base: (facts) =>
    showsSoil(facts)
      ? failBySoil('severity-offset')
      : gradeHeight('severity-offset', facts, facts.offsetIn, 'offset', OFFSET_BOUNDS),
};

export const lip: SeverityRow = {
  kinds: ['lip'],
  base: (facts) => gradeHeight('severity-lip', facts, facts.lipIn, 'lip', LIP_BOUNDS),
};

export const gap: SeverityRow = {
  kinds: ['gap'],
  base: (facts) => {
    const rule = 'severity-gap';
    if (showsSoil(facts)) return failBySoil(rule);
    if (facts.gapIn === null) return gradeUnsized(rule, 'slight', 'the width of the gap');
    const text = `joint open by ${sayIn(facts.gapIn)} in`;
    const sized = { size: facts.gapIn, eyeError: facts.eyeSizeIn, text };
    return gradeSize(rule, sized, GAP_BOUNDS, facts.byEye);
  },
};
