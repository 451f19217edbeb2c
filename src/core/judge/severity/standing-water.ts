import { sayFt, sayIn, sayPercent } from '../../base/numbers';
import type { DefectFacts, Facts, SeverityRow } from '../grade';
import { type Bounds, gradeSize, gradeUnsized, type Sized } from './bounds';
import type { Thresholds } from './thresholds';

const RULE = 'severity-standing-water';
const boundsOf = (t: Thresholds): Bounds => ({
  moderateFrom: t.waterModerateFrom,
  majorFrom: t.waterMajorFrom,
  failedAbove: t.waterFailedAbove,
});

/** Depth ÷ bore, from either way of saying it; `null` when it cannot be known. */
export function fillRatioOf(facts: Facts): number | null {
  if (facts.fillRatio !== null) return facts.fillRatio;
  return facts.depthIn === null || facts.boreIn === null ? null : facts.depthIn / facts.boreIn;
}

/** Depth of the water in inches, from either way of saying it; `null` when it cannot be known. */
export function depthInOf(facts: Facts): number | null {
  if (facts.depthIn !== null) return facts.depthIn;
  return facts.fillRatio === null || facts.boreIn === null ? null : facts.fillRatio * facts.boreIn;
}

function sized(facts: DefectFacts, ratio: number): Sized {
  const depth = facts.depthIn === null ? '' : `${sayIn(facts.depthIn)} in deep, `;
  return {
    size: ratio,
    eyeError:
      facts.depthIn !== null && facts.boreIn !== null
        ? facts.eyeSizeIn / facts.boreIn
        : facts.eyeShareRatio,
    text: `standing water ${depth}${sayPercent(ratio)} of the bore`,
    thing: 'standing water',
  };
}

export const standingWater: SeverityRow = {
  kinds: ['standing-water'],
  base: (facts, thresholds) => {
    const ratio = fillRatioOf(facts);
    if (ratio === null) return gradeUnsized(RULE, 'moderate', 'the depth of the water');
    const grade = gradeSize(RULE, sized(facts, ratio), boundsOf(thresholds), facts);
    // Caught debris in so much water means that the stretch no longer carries solids.
    const failedFrom = thresholds.waterFailedWithDebrisFrom;
    if (!facts.holdsDebris || ratio < failedFrom - 1e-9 || grade.severity === 'failed') {
      return grade;
    }
    const text = `${sayPercent(failedFrom)} full or more and holding debris: failed`;
    return { severity: 'failed', because: [...grade.because, { rule: RULE, text }], missing: null };
  },
  step: (facts, thresholds) => {
    const { waterLongFt, waterShortFt, waterShortBelow } = thresholds;
    const ratio = fillRatioOf(facts);
    const step = (by: 1 | -1, text: string) => ({ by, because: { rule: `${RULE}-step`, text } });
    if (facts.holdsDebris) return step(1, 'it holds debris: one step up');
    if (facts.lengthFt === null) return null;
    if (facts.lengthFt > waterLongFt + 1e-9) {
      return step(1, `${sayFt(facts.lengthFt)} ft long, over ${waterLongFt} ft: one step up`);
    }
    const isShallow = ratio !== null && ratio < waterShortBelow - 1e-9;
    if (facts.lengthFt <= waterShortFt + 1e-9 && isShallow) {
      const text = `${sayFt(facts.lengthFt)} ft long and less than ${sayPercent(waterShortBelow)} full: one step down`;
      return step(-1, text);
    }
    return null;
  },
};
