/** What a threshold is a number of. */
export type ThresholdUnit = 'share' | 'in' | 'ft' | 'count';

type Row = readonly [value: number, unit: ThresholdUnit, says: string];

/**
 * Every number that judgement turns on, with its default. The bounds are the trade's rules of thumb as
 * Chert states them; each may be changed in settings. Shares are 0 to 1.
 */
export const THRESHOLD_TABLE = {
  waterModerateFrom: [0.1, 'share', 'Standing water is moderate from this share of the pipe'],
  waterMajorFrom: [0.25, 'share', 'Standing water is major from this share of the pipe'],
  waterFailedAbove: [0.9, 'share', 'Standing water has failed above this share of the pipe'],
  waterFailedWithDebrisFrom: [0.5, 'share', 'Standing water that holds debris has failed from'],
  waterShortFt: [3, 'ft', 'A pool up to this long, and shallow, is graded one step down'],
  waterShortBelow: [0.25, 'share', '… when it fills less than this share of the pipe'],
  waterLongFt: [10, 'ft', 'A pool longer than this is graded one step up'],
  rootsModerateFrom: [0.1, 'share', 'Roots are moderate from this share of the pipe'],
  rootsMajorFrom: [0.25, 'share', 'Roots are major from this share of the pipe'],
  rootsFailedAbove: [0.5, 'share', 'Roots have failed above this share of the pipe'],
  offsetModerateFrom: [0.1, 'share', 'An offset is moderate from this share of the pipe'],
  offsetMajorFrom: [0.25, 'share', 'An offset is major from this share of the pipe'],
  offsetFailedAbove: [0.5, 'share', 'An offset has failed above this share of the pipe'],
  gapModerateFromIn: [0.5, 'in', 'An open joint is moderate from'],
  gapMajorFromIn: [1, 'in', 'An open joint is major from'],
  lipModerateFrom: [0.05, 'share', 'A lip is moderate from this share of the pipe'],
  lipMajorFrom: [0.15, 'share', 'A lip is major from this share of the pipe'],
  diameterModerateFrom: [
    0.05,
    'share',
    'A pipe out of round, or a tap, is moderate from this share of the diameter',
  ],
  diameterMajorFrom: [
    0.15,
    'share',
    'A pipe out of round, or a tap, is major from this share of the diameter',
  ],
  diameterFailedAbove: [
    0.3,
    'share',
    'A pipe out of round, or a tap, has failed above this share of the diameter',
  ],
  depositModerateFrom: [0.1, 'share', 'A deposit is moderate from this share of the pipe'],
  depositMajorFrom: [0.25, 'share', 'A deposit is major from this share of the pipe'],
  depositFailedAbove: [0.5, 'share', 'A deposit has failed above this share of the pipe'],
  roomyBoreIn: [
    6,
    'in',
    'From this diameter on, upkeep holds major roots that serve one household',
  ],
  blockedAbove: [0.9, 'share', 'Roots or deposit above this share of the pipe block the flow'],
  shallowBelow: [0.1, 'share', 'Water below this share of the pipe is shallow'],
  several: [3, 'count', 'So many are several: pools in a run, defects in a length'],
  mostAbove: [0.5, 'share', 'More than this share of a run is most of it'],
  closeTogetherFt: [4, 'ft', 'Things this near to one another are close together'],
  atLipFt: [2, 'ft', 'A pool is held by what lies this near to its downstream end'],
  atLipIn: [0.25, 'in', 'Water may stand this much deeper than what holds it'],
} as const satisfies Record<string, Row>;

export type ThresholdKey = keyof typeof THRESHOLD_TABLE;
export type Thresholds = { readonly [K in ThresholdKey]: number };

export const THRESHOLD_KEYS = Object.keys(THRESHOLD_TABLE) as ThresholdKey[];

export const DEFAULT_THRESHOLDS = Object.fromEntries(
  THRESHOLD_KEYS.map((key) => [key, THRESHOLD_TABLE[key][0]]),
) as Thresholds;

/** Bounds that follow one another: each may equal the one before it, never be less. */
const THRESHOLD_LADDERS: readonly (readonly ThresholdKey[])[] = [
  ['waterModerateFrom', 'waterMajorFrom', 'waterFailedAbove'],
  ['waterShortFt', 'waterLongFt'],
  ['rootsModerateFrom', 'rootsMajorFrom', 'rootsFailedAbove'],
  ['offsetModerateFrom', 'offsetMajorFrom', 'offsetFailedAbove'],
  ['gapModerateFromIn', 'gapMajorFromIn'],
  ['lipModerateFrom', 'lipMajorFrom'],
  ['diameterModerateFrom', 'diameterMajorFrom', 'diameterFailedAbove'],
  ['depositModerateFrom', 'depositMajorFrom', 'depositFailedAbove'],
];

/** The thresholds in force: the defaults with what differs laid over them. */
export function thresholdsInForce(differing: Partial<Thresholds> | undefined): Thresholds {
  return { ...DEFAULT_THRESHOLDS, ...differing };
}

/** The first pair of bounds that are the wrong way round, the lower named first; `null` when none is. */
export function findCrossedBounds(
  differing: Partial<Thresholds>,
): readonly [ThresholdKey, ThresholdKey] | null {
  const all = thresholdsInForce(differing);
  for (const ladder of THRESHOLD_LADDERS) {
    for (const [index, upper] of ladder.entries()) {
      const lower = ladder[index - 1];
      if (lower !== undefined && all[lower] > all[upper]) return [lower, upper];
    }
  }
  return null;
}
