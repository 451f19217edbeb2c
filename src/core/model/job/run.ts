import Joi from 'joi';
import { flag, id, length, line, oneOf, words } from '../../base/joi';
import {
  AIDS,
  CLEANED_BEFORE,
  type Facing,
  FACINGS,
  type WaterAtStart,
  WATERS_AT_START,
  ZERO_PLACES,
} from '../../catalogue/vocabulary';
import type { Entry } from '../log/entry';

/** One camera push from one access, facing one way, with one zero. */
export type Run = {
  readonly id: string;
  /** What people call it ("R2"); absent: its id. */
  readonly label?: string;
  readonly accessPointId: string;
  readonly lineId?: string;
  readonly facing: Facing;
  readonly zero: {
    readonly at: (typeof ZERO_PLACES)[number];
    readonly readingFt: number;
    /** Vertical drop from the rim to the pipe, feet; deducted when the zero is at the rim. */
    readonly dropFt: number;
  };
  readonly cleanedBefore: (typeof CLEANED_BEFORE)[number];
  /** What water ran when the camera went in; absent: nobody said. */
  readonly waterAtStart?: WaterAtStart;
  readonly head?: string;
  readonly aid: (typeof AIDS)[number];
  readonly headLevels?: boolean;
  readonly outcome?: 'done' | 'abandoned';
  readonly entries: readonly Entry[];
};

/** A run's set-up, without its entries. */
export const runSetupSchema = Joi.object({
  id: id().required(),
  label: words(40),
  accessPointId: id().required(),
  lineId: id(),
  facing: oneOf(FACINGS).required(),
  zero: Joi.object({
    at: oneOf(ZERO_PLACES).required(),
    readingFt: length().required(),
    dropFt: length().required(),
  }).required(),
  cleanedBefore: oneOf(CLEANED_BEFORE).required(),
  waterAtStart: oneOf(WATERS_AT_START),
  head: line(),
  aid: oneOf(AIDS).required(),
  headLevels: flag(),
  outcome: oneOf(['done', 'abandoned']),
});
