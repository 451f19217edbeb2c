import Joi from 'joi';
import { flag, id, length, line, oneOf, words } from '../../base/joi';
import {
  AIDS,
  CLEANED_BEFORE,
  FACINGS,
  WATERS_AT_START,
  ZERO_PLACES,
} from '../../catalogue/vocabulary';
import { recordingSchema } from './recording.schema';

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
  recordings: Joi.array().items(recordingSchema).max(40),
});
