import { sayFt, sayIn, sayPercent } from '../../base/numbers';
import type { DefectSpec, Seen } from '../defect';
import { AMOUNTS, sayFeet, sayInches } from '../say-size';
import { type Bounds, gradeSize, gradeUnsized, type Sized } from '../severity/bounds';
import type { Facts, SeverityRow } from '../severity/grade';
import type { Thresholds } from '../severity/thresholds';
import { fillRatioOf } from '../severity/water-depth';
import type { WaterState } from '../vocabulary';

const RULE = 'severity-standing-water';
const boundsOf = (t: Thresholds): Bounds => ({
  moderateFrom: t.waterModerateFrom,
  majorFrom: t.waterMajorFrom,
  failedAbove: t.waterFailedAbove,
});

function sized(facts: Facts, ratio: number): Sized {
  const depth = facts.depthIn === null ? '' : `${sayIn(facts.depthIn)} in deep, `;
  return {
    size: ratio,
    eyeError:
      facts.depthIn !== null && facts.boreIn !== null
        ? facts.eyeSizeIn / facts.boreIn
        : facts.eyeShareRatio,
    text: `standing water ${depth}${sayPercent(ratio)} of the pipe`,
    thing: 'standing water',
    isWater: true,
  };
}

const severity: SeverityRow = {
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

/** How it was seen, to follow what was seen. */
const WHEN: Record<WaterState | 'unsaid', string> = {
  drained: ', after the line had drained',
  none: ', with no water running',
  draining: ', seen while the line was still draining',
  running: ', seen while water was running',
  unsaid: '; nobody said whether water was running',
};

function sayWater({ facts, water }: Seen): string {
  const ratio = fillRatioOf(facts);
  const length = facts.lengthFt === null ? '' : `, over ${sayFeet(facts.lengthFt)}`;
  const depth = facts.depthIn === null ? '' : ` ${sayInches(facts.depthIn)} deep`;
  const fill = ratio === null ? '' : `, ${sayPercent(ratio)} of the pipe`;
  const filled =
    ratio === null
      ? ''
      : facts.byWord === null
        ? ` and fills ${sayPercent(ratio)} of the pipe`
        : ` and fills ${AMOUNTS[facts.byWord]} of the pipe`;
  const how = depth === '' ? filled : `${depth}${fill}`;
  const debris = facts.holdsDebris ? ' Waste settles in it.' : '';
  return `Water stands${how}${length}${WHEN[water ?? 'unsaid']}.${debris}`;
}

export const standingWater: DefectSpec = {
  name: 'Standing water',
  buyer: { name: 'Low stretch that holds water', trade: 'belly', plural: 'standing water' },
  said: 'standing water|{water|waters} [is] {standing|sitting|pooled|pooling|ponding|lying|holding|holding back|backing up behind|backed up behind|held back}|{holding|holds} water|belly|bellies|bellied|low {spot|stretch|point}|sag|sags|sagging|pool|pools|pooling|ponding|puddle|swale|dip in the pipe|full of water|water',
  size: { inches: 'depthIn', share: 'fill' },
  wants: 'how deep',
  severity,
  says: sayWater,
  means: 'Where water stays, waste and grease settle.',
  traits: [
    'catches',
    'new-pipe-ends',
    'rests-on-bore',
    'hides-in-murk',
    'holds-waste',
    'is-stretch',
  ],
  upkeep: 'Clear the edge that holds the water, then look again before anyone digs.',
  thenAsCause: 'replace it to grade',
  drawnAs: 'water',
};
