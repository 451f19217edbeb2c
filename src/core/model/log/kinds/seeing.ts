import Joi from 'joi';
import { flag, length, line, oneOf, prose, words } from '../../../base/joi';
import { type DefectKind, DEFECTS } from '../../../catalogue/defects/index';
import {
  FLOW_RESULTS,
  UNSEEN_CAUSES,
  type UnseenCause,
  WATER_STATES,
  type WaterState,
} from '../../../catalogue/vocabulary';
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
  /** A repair method's id, or `other`. */
  readonly does: string;
  readonly text: string;
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
export const clearKeys = {
  toReadingFt: length(),
  open: flag(),
  kinds: Joi.array().items(oneOf(DEFECTS)).max(DEFECTS.length),
};
export const adviceKeys = {
  toReadingFt: length(),
  does: words(80).required(),
  text: prose().required(),
};
export const flowTestKeys = {
  fixture: words().required(),
  result: oneOf(FLOW_RESULTS).required(),
};
