import { flag, length, line, oneOf, words } from '../../base/joi';
import type { EntryBase } from '../entry-base';
import {
  FLOW_RESULTS,
  UNSEEN_CAUSES,
  WATER_STATES,
  type UnseenCause,
  type WaterState,
} from '../vocabulary';

/** The water was turned on, is draining, or has drained. */
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

/** A fixture was run and its water watched for; leaves the water running. */
export type FlowTestEntry = EntryBase & {
  readonly kind: 'flow-test';
  readonly fixture: string;
  readonly result: (typeof FLOW_RESULTS)[number];
};

export const waterKeys = { state: oneOf(WATER_STATES).required(), source: line() };
export const unseenKeys = {
  cause: oneOf(UNSEEN_CAUSES).required(),
  toReadingFt: length(),
  open: flag(),
};
export const flowTestKeys = {
  fixture: words().required(),
  result: oneOf(FLOW_RESULTS).required(),
};
