import { sayFt, sayIn, sayPercent } from '../../base/numbers';
import type { DefectFacts, SeverityRow } from '../grade';
import { gradeSize, gradeUnsized, type Sized } from './bounds';

const RULE = 'severity-standing-water';
const BOUNDS = { moderateFrom: 0.1, majorFrom: 0.25, failedAbove: 0.9 };
/** At half full and more, caught debris means that the stretch no longer carries solids. */
const FAILED_WITH_DEBRIS_FROM = 0.5;
const SHORT_FT = 3;
const SHALLOW_RATIO = 0.25;
const LONG_FT = 10;

/** Depth ÷ bore, from either way of saying it; `null` when it cannot be known. */
export function fillRatioOf(facts: DefectFacts): number | null {
  if (facts.fillRatio !== null) return facts.fillRatio;
  return facts.depthIn === null || facts.boreIn === null ? null : facts.depthIn / facts.boreIn;
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
  };
}

export const standingWater: SeverityRow = {
  kinds: ['standing-water'],
  base: (facts) => {
    const ratio = fillRatioOf(facts);
    if (ratio === null) return gradeUnsized(RULE, 'moderate', 'the depth of the water');
    const grade = gradeSize(RULE, sized(facts, ratio), BOUNDS, facts.byEye);
    if (!facts.holdsDebris || ratio < FAILED_WITH_DEBRIS_FROM || grade.severity === 'failed') {
      return grade;
    }
    const text = `half full or more and holding debris: failed`;
    return { severity: 'failed', because: [...grade.because, { rule: RULE, text }], missing: null };
  },
  step: (facts) => {
    const ratio = fillRatioOf(facts);
    const step = (by: 1 | -1, text: string) => ({ by, because: { rule: `${RULE}-step`, text } });
    if (facts.holdsDebris) return step(1, 'it holds debris: one step up');
    if (facts.lengthFt === null) return null;
    if (facts.lengthFt > LONG_FT + 1e-9) {
      return step(1, `${sayFt(facts.lengthFt)} ft long, over ${LONG_FT} ft: one step up`);
    }
    if (facts.lengthFt <= SHORT_FT + 1e-9 && ratio !== null && ratio < SHALLOW_RATIO) {
      const text = `${sayFt(facts.lengthFt)} ft long and less than a quarter full: one step down`;
      return step(-1, text);
    }
    return null;
  },
};
