import { sayPercent } from '../../base/numbers';
import { nameDefect } from '../../log/say-entry';
import type { DefectKind } from '../../log/vocabulary';
import type { SeverityRow } from '../grade';
import { type Bounds, gradeSize, gradeUnsized } from './bounds';
import type { Thresholds } from './thresholds';

const diameterBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.diameterModerateFrom,
  majorFrom: t.diameterMajorFrom,
  failedAbove: t.diameterFailedAbove,
});
const areaBounds = (t: Thresholds): Bounds => ({
  moderateFrom: t.depositModerateFrom,
  majorFrom: t.depositMajorFrom,
  failedAbove: t.depositFailedAbove,
});

const NAMES: Partial<Record<DefectKind, string>> = {
  deformation: 'the pipe is out of round by',
  'intruding-tap': 'the tap stands into the bore by',
  scale: 'scale fills',
  grease: 'grease fills',
  debris: 'debris fills',
  mineral: 'mineral deposit fills',
  'foreign-object': 'the object fills',
};

/** Sizes that are a share of the diameter. */
export const shareOfDiameter: SeverityRow = {
  kinds: ['deformation', 'intruding-tap'],
  base: (facts, thresholds) => {
    const rule = `severity-${facts.kind}`;
    if (facts.extentRatio === null) {
      return gradeUnsized(rule, 'moderate', 'the share of the diameter');
    }
    const text = `${NAMES[facts.kind]} ${sayPercent(facts.extentRatio)} of the diameter`;
    const sized = {
      size: facts.extentRatio,
      eyeError: facts.eyeShareRatio,
      text,
      thing: nameDefect(facts.kind).toLowerCase(),
    };
    return gradeSize(rule, sized, diameterBounds(thresholds), facts);
  },
};

/** Deposits, and objects, by the share of the bore's area that they fill. */
export const shareOfArea: SeverityRow = {
  kinds: ['scale', 'grease', 'debris', 'mineral', 'foreign-object'],
  base: (facts, thresholds) => {
    const rule = `severity-${facts.kind}`;
    if (facts.extentRatio === null) return gradeUnsized(rule, 'slight', 'the share of the bore');
    const text = `${NAMES[facts.kind]} ${sayPercent(facts.extentRatio)} of the bore`;
    const sized = {
      size: facts.extentRatio,
      eyeError: facts.eyeShareRatio,
      text,
      thing: nameDefect(facts.kind).toLowerCase(),
    };
    return gradeSize(rule, sized, areaBounds(thresholds), facts);
  },
};
