import { sayPercent } from '../../base/numbers';
import { type Bounds, gradeSize, gradeUnsized } from './bounds';
import type { Severity, SeverityRow } from './grade';
import type { Thresholds } from './thresholds';

type Whole = {
  readonly unsized: Severity;
  /** What the share is one of, in words ("diameter"). */
  readonly of: string;
  readonly boundsOf: (thresholds: Thresholds) => Bounds;
};

const DIAMETER: Whole = {
  unsized: 'moderate',
  of: 'diameter',
  boundsOf: (t) => ({
    moderateFrom: t.diameterModerateFrom,
    majorFrom: t.diameterMajorFrom,
    failedAbove: t.diameterFailedAbove,
  }),
};
const BORE: Whole = {
  unsized: 'slight',
  of: 'pipe',
  boundsOf: (t) => ({
    moderateFrom: t.depositModerateFrom,
    majorFrom: t.depositMajorFrom,
    failedAbove: t.depositFailedAbove,
  }),
};

const byShare =
  ({ unsized, of, boundsOf }: Whole) =>
  (kind: string, verb: string, thing: string): SeverityRow => ({
    base: (facts, thresholds) => {
      const rule = `severity-${kind}`;
      const { extentRatio, eyeShareRatio: eyeError } = facts;
      if (extentRatio === null) return gradeUnsized(rule, unsized, `the share of the ${of}`);
      const text = `${verb} ${sayPercent(extentRatio)} of the ${of}`;
      const sized = { size: extentRatio, eyeError, text, thing };
      return gradeSize(rule, sized, boundsOf(thresholds), facts);
    },
  });

/** The row of what is sized as a share of the diameter; `verb` leads to the share ("the tap stands in by"). */
export const byShareOfDiameter = byShare(DIAMETER);

/** The row of deposits, and of objects, by the share of the pipe's area that they fill. */
export const byShareOfBore = byShare(BORE);
