import { type DefectKind } from '../../../catalogue/defects/index';
import { FLOW_RESULTS, type UnseenCause, type WaterState } from '../../../catalogue/vocabulary';
import type { EntryBase } from '../entry-base';

/** The water was turned on, is draining, has drained, or nobody runs any. */
export type WaterEntry = EntryBase & {
  readonly kind: 'water';
  readonly state: WaterState;
  readonly source?: string;
};

/** A stretch that nobody could see, and why. Stands until retracted or seen by another run. */
export type UnseenEntry = EntryBase & {
  readonly kind: 'unseen';
  readonly cause: UnseenCause;
  readonly toReadingFt?: number;
  readonly open?: boolean;
};

/** Looked at and found free of trouble, at a place or over a stretch. */
export type ClearEntry = EntryBase & {
  readonly kind: 'clear';
  readonly toReadingFt?: number;
  readonly open?: boolean;
  /** What was looked for; absent: every kind. */
  readonly kinds?: readonly DefectKind[];
};

/** The inspector's own recommendation, at a place or over a stretch. */
export type AdviceEntry = EntryBase & {
  readonly kind: 'advice';
  readonly toReadingFt?: number;
  /** A repair method's id, `monitor` or `other`. */
  readonly does: string;
  /** Advised against: "do not line it". */
  readonly not?: boolean;
  readonly text: string;
};

/** What stands for a fixture that nobody named. */
export const SOME_FIXTURE = 'a fixture';

/** The fixture for a sentence: "the kitchen sink", or "a fixture" where nobody named it. */
export const sayFixture = (fixture: string): string =>
  fixture === SOME_FIXTURE ? fixture : `the ${fixture}`;

/** A fixture was run and its water watched for; leaves the water running. */
export type FlowTestEntry = EntryBase & {
  readonly kind: 'flow-test';
  readonly fixture: string;
  readonly result: (typeof FLOW_RESULTS)[number];
};
