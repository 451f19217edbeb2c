/** The closed word lists of the field log. Codes are the trade's plain words in kebab case. */

export const PASSES = ['out', 'back'] as const;
export type Pass = (typeof PASSES)[number];

export const CERTAINTIES = ['confirmed', 'suspected', 'cannot-tell'] as const;
export type Certainty = (typeof CERTAINTIES)[number];

export const FACINGS = ['downstream', 'upstream'] as const;
export type Facing = (typeof FACINGS)[number];

/** Seen from the camera: `far` runs on away from the access, `near` runs back toward it. */
export const SIDES = ['far', 'near'] as const;
export type Side = (typeof SIDES)[number];

export const LOCI = ['joint', 'barrel', 'tap', 'transition'] as const;
export type Locus = (typeof LOCI)[number];

export const CRACK_DIRECTIONS = ['along', 'round', 'multiple'] as const;
export const JOINT_STYLES = ['smooth', 'lip', 'coupling'] as const;
export const SIZE_BASES = ['eye', 'measured'] as const;
/** A size said by a word, from least to most. */
export const SIZE_WORDS = ['trace', 'light', 'moderate', 'heavy', 'full'] as const;
export type SizeWord = (typeof SIZE_WORDS)[number];
/** The fields of a defect that hold a size. */
export type SizeField = 'depthIn' | 'fillRatio' | 'extentRatio' | 'offsetIn' | 'gapIn' | 'lipIn';
/** What water ran when a run began. */
export const WATERS_AT_START = ['none', 'running', 'unknown'] as const;
export type WaterAtStart = (typeof WATERS_AT_START)[number];
/** `none`: nobody runs any; the line is as it was found. */
export const WATER_STATES = ['running', 'draining', 'drained', 'none'] as const;
export type WaterState = (typeof WATER_STATES)[number];
export const UNSEEN_CAUSES = ['submerged', 'murky', 'dirty-lens', 'too-fast', 'other'] as const;
export type UnseenCause = (typeof UNSEEN_CAUSES)[number];
export const FLOW_RESULTS = ['clears', 'slow', 'backs-up', 'not-seen'] as const;
export const END_REASONS = [
  'main',
  'tank',
  'join',
  'vent',
  'obstruction',
  'lost-push',
  'trap',
  'bend',
  'unsafe',
  'other',
] as const;
export type EndReason = (typeof END_REASONS)[number];
export const CONFIRMATIONS = ['sight', 'locate', 'none'] as const;
export type Confirmation = (typeof CONFIRMATIONS)[number];
export const AIDS = ['none', 'skid', 'guide'] as const;
export const CLEANED_BEFORE = ['none', 'cut', 'jetted', 'unknown'] as const;
export const ZERO_PLACES = ['rim', 'riser-base', 'horizontal', 'unknown'] as const;
