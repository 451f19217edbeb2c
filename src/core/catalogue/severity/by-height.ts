import { sayIn, sayPercent } from '../../base/numbers';
import { type Bounds, failBySoil, gradeSize, gradeUnsized, showsSoil } from './bounds';
import type { Facts, SeverityRow } from './grade';
import type { Thresholds } from './thresholds';

export const offsetBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.offsetModerateFrom,
  majorFrom: t.offsetMajorFrom,
  failedAbove: t.offsetFailedAbove,
});
export const lipBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.lipModerateFrom,
  majorFrom: t.lipMajorFrom,
  failedAbove: null,
});

/** The row of a kind whose height in inches is graded against the bore. */
export function byHeight(
  kind: string,
  heightOf: (facts: Facts) => number | null,
  boundsOf: (thresholds: Thresholds) => Bounds,
  { failsBySoil = false } = {},
): SeverityRow {
  const rule = `severity-${kind}`;
  return {
    base: (facts, thresholds) => {
      if (failsBySoil && showsSoil(facts)) return failBySoil(rule);
      const heightIn = heightOf(facts);
      if (heightIn === null) return gradeUnsized(rule, 'slight', `the height of the ${kind}`);
      if (facts.boreIn === null)
        return gradeUnsized(rule, 'slight', 'the diameter of the pipe here');
      const ratio = heightIn / facts.boreIn;
      const text = `${kind} of ${sayIn(heightIn)} in, ${sayPercent(ratio)} of the pipe`;
      const eyeError = facts.eyeSizeIn / facts.boreIn;
      const sized = { size: ratio, eyeError, text, thing: kind };
      return gradeSize(rule, sized, boundsOf(thresholds), facts);
    },
  };
}
