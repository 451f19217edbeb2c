import { sayPercent } from '../../base/numbers';
import type { Material } from '../../log/vocabulary';
import type { SeverityRow } from '../grade';
import { type Bounds, gradeSize, gradeUnsized } from './bounds';
import type { Thresholds } from './thresholds';

const RULE = 'severity-roots';
const boundsOf = (t: Thresholds): Bounds => ({
  moderateFrom: t.rootsModerateFrom,
  majorFrom: t.rootsMajorFrom,
  failedAbove: t.rootsFailedAbove,
});
/** Pipe whose barrel roots pass only where the wall is gone. */
export const IRON: readonly Material[] = ['cast-iron', 'ductile-iron'];

export const roots: SeverityRow = {
  kinds: ['roots'],
  base: (facts, thresholds) => {
    if (facts.extentRatio === null) {
      return gradeUnsized(RULE, 'moderate', 'the share of the bore that the roots fill');
    }
    const text = `roots fill ${sayPercent(facts.extentRatio)} of the bore`;
    const sized = { size: facts.extentRatio, eyeError: facts.eyeShareRatio, text, thing: 'roots' };
    return gradeSize(RULE, sized, boundsOf(thresholds), facts);
  },
  step: (facts) =>
    facts.holdsDebris
      ? { by: 1, because: { rule: `${RULE}-step`, text: 'they hold debris: one step up' } }
      : null,
  floor: (facts) => {
    if (facts.locus !== 'barrel') return null;
    const floor = (severity: 'moderate' | 'major', text: string) => ({
      severity,
      because: { rule: `${RULE}-floor`, text },
    });
    return IRON.includes(facts.material)
      ? floor('major', 'they come through the barrel of iron, so the wall is gone there')
      : floor('moderate', 'they come through the barrel, where no joint explains them');
  },
};
