import { sayIn, sayPercent } from '../../base/numbers';
import type { BaseGrade, DefectFacts, SeverityRow } from '../grade';
import { failBySoil, gradeSize, gradeUnsized, showsSoil, type Bounds } from './bounds';
import type { Thresholds } from './thresholds';

const offsetBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.offsetModerateFrom,
  majorFrom: t.offsetMajorFrom,
  failedAbove: t.offsetFailedAbove,
});
const lipBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.lipModerateFrom,
  majorFrom: t.lipMajorFrom,
  failedAbove: null,
});
const gapBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.gapModerateFromIn,
  majorFrom: t.gapMajorFromIn,
  failedAbove: null,
});

/** Grades a height in inches against the bore. */
function gradeHeight(
  rule: string,
  facts: DefectFacts,
  heightIn: number | null,
  name: string,
  bounds: Bounds,
): BaseGrade {
  if (heightIn === null) return gradeUnsized(rule, 'slight', `the height of the ${name}`);
  if (facts.boreIn === null) return gradeUnsized(rule, 'slight', 'the diameter of the pipe here');
  const ratio = heightIn / facts.boreIn;
  const text = `${name} of ${sayIn(heightIn)} in, ${sayPercent(ratio)} of the bore`;
  const eyeError = facts.eyeSizeIn / facts.boreIn;
  return gradeSize(rule, { size: ratio, eyeError, text, thing: name }, bounds, facts);
}

export const offset: SeverityRow = {
  kinds: ['offset'],
  base: (facts, thresholds) =>
    showsSoil(facts)
      ? failBySoil('severity-offset')
      : gradeHeight('severity-offset', facts, facts.offsetIn, 'offset', offsetBounds(thresholds)),
};

export const lip: SeverityRow = {
  kinds: ['lip'],
  base: (facts, thresholds) =>
    gradeHeight('severity-lip', facts, facts.lipIn, 'lip', lipBounds(thresholds)),
};

export const gap: SeverityRow = {
  kinds: ['gap'],
  base: (facts, thresholds) => {
    const rule = 'severity-gap';
    if (showsSoil(facts)) return failBySoil(rule);
    if (facts.gapIn === null) return gradeUnsized(rule, 'slight', 'the width of the gap');
    const text = `joint open by ${sayIn(facts.gapIn)} in`;
    const sized = { size: facts.gapIn, eyeError: facts.eyeSizeIn, text, thing: 'open joint' };
    return gradeSize(rule, sized, gapBounds(thresholds), facts);
  },
};
