import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { checkFacts } from '../../model/job/facts';
import type { Inspection } from '../../model/job/inspection';
import { CLAY, inspectionOf, type Said } from '../../testing/build';
import { defect, line, lineIn, pool } from '../../testing/rules';
import {
  DEFAULT_THRESHOLDS,
  findCrossedBounds,
  THRESHOLD_KEYS,
  THRESHOLD_TABLE,
  type ThresholdKey,
} from './thresholds';

/** What is looked at of the first finding, worked out by hand: its grade, its action, or its words. */
type Probe = readonly [Inspection, 'severity' | 'action' | 'words', string | RegExp];

const size = (kind: string, key: string, value: number, more = {}) =>
  line([defect(kind, { [key]: value, sizeBasis: 'measured', ...more })]);
const water = (fillRatio: number, lengthFt = 6, more: Record<string, unknown> = {}) =>
  line([pool({ fillRatio, toReadingFt: 30 + lengthFt, sizeBasis: 'measured', ...more })]);
const lip = (lipIn: number, readingFt: number): Said => ({
  ...CLAY,
  joint: 'lip',
  lipIn,
  readingFt,
});
const crack = (readingFt: number) => defect('crack', { form: 'open', readingFt });
const wet = (toReadingFt: number) => line([pool({ readingFt: 4, toReadingFt })]);

/** Two probes to each bound, one a tenth above and one a tenth below, so that a fifth either way shows. */
const bound = (
  probe: (value: number) => Inspection,
  at: number,
  below: string,
  above: string,
): Probe[] => [
  [probe(at * 0.9), 'severity', below],
  [probe(at * 1.1), 'severity', above],
];

const PROBES: Record<ThresholdKey, readonly Probe[]> = {
  waterModerateFrom: bound((value) => water(value), 0.1, 'slight', 'moderate'),
  waterMajorFrom: bound((value) => water(value), 0.25, 'moderate', 'major'),
  waterFailedAbove: [
    [water(0.85), 'severity', 'major'],
    [water(0.99), 'severity', 'failed'],
    // A fifth above nine tenths no bore can hold: a full one shows it.
    [water(1), 'severity', 'failed'],
  ],
  waterFailedWithDebrisFrom: [
    [
      water(0.45, 6, { holdsDebris: true, ourDoing: false }),
      'words',
      /major: it calls|one step up/,
    ],
    [water(0.55, 6, { holdsDebris: true }), 'words', /full or more and holding debris/],
  ],
  waterShortFt: [
    [water(0.2, 2.7), 'severity', 'slight'],
    [water(0.2, 3.3), 'severity', 'moderate'],
  ],
  waterShortBelow: [
    [water(0.22, 2), 'severity', 'slight'],
    [
      line([pool({ fillRatio: 0.27, toReadingFt: 32, sizeBasis: 'measured' })], {
        settings: { thresholds: { waterMajorFrom: 0.5 } },
      }),
      'severity',
      'moderate',
    ],
  ],
  waterLongFt: [
    [water(0.15, 9), 'severity', 'moderate'],
    [water(0.15, 11), 'severity', 'major'],
  ],
  rootsModerateFrom: bound(
    (value) => size('roots', 'extentRatio', value),
    0.1,
    'slight',
    'moderate',
  ),
  rootsMajorFrom: bound((value) => size('roots', 'extentRatio', value), 0.25, 'moderate', 'major'),
  rootsFailedAbove: bound((value) => size('roots', 'extentRatio', value), 0.5, 'major', 'failed'),
  offsetModerateFrom: bound(
    (value) => size('offset', 'offsetIn', value),
    0.6,
    'slight',
    'moderate',
  ),
  offsetMajorFrom: bound((value) => size('offset', 'offsetIn', value), 1.5, 'moderate', 'major'),
  offsetFailedAbove: bound((value) => size('offset', 'offsetIn', value), 3, 'major', 'failed'),
  gapModerateFromIn: bound((value) => size('gap', 'gapIn', value), 0.5, 'slight', 'moderate'),
  gapMajorFromIn: bound((value) => size('gap', 'gapIn', value), 1, 'moderate', 'major'),
  lipModerateFrom: bound((value) => size('lip', 'lipIn', value), 0.3, 'slight', 'moderate'),
  lipMajorFrom: bound((value) => size('lip', 'lipIn', value), 0.9, 'moderate', 'major'),
  diameterModerateFrom: bound(
    (value) => size('deformation', 'extentRatio', value),
    0.05,
    'slight',
    'moderate',
  ),
  diameterMajorFrom: bound(
    (value) => size('deformation', 'extentRatio', value),
    0.15,
    'moderate',
    'major',
  ),
  diameterFailedAbove: bound(
    (value) => size('deformation', 'extentRatio', value),
    0.3,
    'major',
    'failed',
  ),
  depositModerateFrom: bound(
    (value) => size('grease', 'extentRatio', value),
    0.1,
    'slight',
    'moderate',
  ),
  depositMajorFrom: bound(
    (value) => size('grease', 'extentRatio', value),
    0.25,
    'moderate',
    'major',
  ),
  depositFailedAbove: bound(
    (value) => size('grease', 'extentRatio', value),
    0.5,
    'major',
    'failed',
  ),
  roomyBoreIn: [
    [lineIn('vitrified-clay', 5.4, [defect('roots', { extentRatio: 0.3 })]), 'action', 'repair'],
    [lineIn('vitrified-clay', 6.6, [defect('roots', { extentRatio: 0.3 })]), 'action', 'upkeep'],
  ],
  blockedAbove: [
    [size('roots', 'extentRatio', 0.8), 'action', 'repair'],
    [size('roots', 'extentRatio', 0.99), 'action', 'urgent'],
  ],
  shallowBelow: [
    [water(0.09), 'action', 'none'],
    [
      line([pool({ fillRatio: 0.11 })], { settings: { thresholds: { waterModerateFrom: 0.2 } } }),
      'action',
      'monitor',
    ],
  ],
  several: [
    [line([crack(20), crack(22), crack(24)]), 'words', /one of 3 structural/],
    [line([crack(20), crack(22)]), 'words', /^(?!.*structural defects)/],
  ],
  mostAbove: [
    [wet(4 + 27), 'words', /^(?!.*grade of the whole run)/],
    [wet(4 + 33), 'words', /grade of the whole run/],
  ],
  closeTogetherFt: [
    [line([crack(20), crack(23.6), crack(27.2)]), 'words', /one length/],
    [line([crack(20), crack(24.4), crack(28.8)]), 'words', /^(?!.*one length)/],
  ],
  atLipFt: [
    [line([pool({ depthIn: 1, fillRatio: undefined }), lip(1, 37.8)]), 'words', /the lip of 1 in/],
    [
      line([pool({ depthIn: 1, fillRatio: undefined }), lip(1, 38.2)]),
      'words',
      /^(?!.*the lip of)/,
    ],
  ],
  atLipIn: [
    [line([pool({ depthIn: 1.22, fillRatio: undefined }), lip(1, 36)]), 'action', 'upkeep'],
    [line([pool({ depthIn: 1.27, fillRatio: undefined }), lip(1, 36)]), 'action', 'look-again'],
  ],
};

/** Whether a probe reads as expected with one threshold multiplied. */
function holds([inspection, what, expected]: Probe, key?: ThresholdKey, by = 1): boolean {
  const { thresholds = {} } = inspection.settings;
  const value = key ? DEFAULT_THRESHOLDS[key] : 0;
  // A count moves by whole things.
  const isCount = key !== undefined && THRESHOLD_TABLE[key][1] === 'count';
  const moved = key ? { [key]: isCount ? value + Math.sign(by - 1) : value * by } : {};
  const settings = { ...inspection.settings, thresholds: { ...thresholds, ...moved } };
  const finding = assess({ ...inspection, settings }).findings.find(
    ({ kind }) => kind !== 'layout',
  )!;
  const found =
    what === 'words' ? finding.because.map(({ text }) => text).join(' ') : finding[what];
  return typeof expected === 'string' ? found === expected : expected.test(found);
}

describe('every threshold', () => {
  it.each(THRESHOLD_KEYS)('%s: a fifth more or a fifth less is noticed', (key) => {
    const probes = PROBES[key];
    expect(probes.filter((probe) => !holds(probe))).toEqual([]);
    const notices = (by: number) => probes.some((probe) => !holds(probe, key, by));
    expect({ less: notices(0.8), more: notices(1.2) }).toEqual({ less: true, more: true });
  });
});

describe('thresholds in settings', () => {
  const facts = (thresholds: Record<string, unknown>) =>
    checkFacts(inspectionOf([]), { settings: { thresholds } });

  it('are kept where they differ and refused where they cross or are no numbers', () => {
    expect(facts({ rootsMajorFrom: 0.3 }).ok).toBe(true);
    const crossed = facts({ rootsMajorFrom: 0.05 });
    expect(crossed.ok ? '' : crossed.faults[0]!.expected).toContain(
      'rootsModerateFrom at or below rootsMajorFrom',
    );
    expect(facts({ several: 2.5 }).ok).toBe(false);
    expect(facts({ waterMajorFrom: 1.5 }).ok).toBe(false);
  });

  it('are in order by default', () => {
    expect(findCrossedBounds({})).toBeNull();
    expect(findCrossedBounds({ gapModerateFromIn: 2 })).toEqual([
      'gapModerateFromIn',
      'gapMajorFromIn',
    ]);
  });
});
