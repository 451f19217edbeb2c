import Joi from 'joi';
import { id, instant, length, oneOf, words } from '../../base/joi';
import { PASSES } from '../../catalogue/vocabulary';
import { MOST_COUNTER_POINTS, MOST_MARKS, RECORDING_PLACES, RECORDING_SOURCES } from './recording';

/** A day, in milliseconds: no recording is longer. */
const moment = () => Joi.number().min(0).max(86_400_000);

export const recordingSchema = Joi.object({
  id: id().required(),
  name: words(200).required(),
  source: oneOf(RECORDING_SOURCES).required(),
  place: oneOf(RECORDING_PLACES).required(),
  startedAt: instant(),
  writtenAt: instant(),
  durationMs: moment(),
  bytes: Joi.number().integer().min(0),
  marks: Joi.array()
    .items(
      Joi.object({
        id: id().required(),
        atMs: moment().required(),
        readingFt: length().required(),
        pass: oneOf(PASSES).required(),
      }),
    )
    .max(MOST_MARKS),
  counter: Joi.array()
    .items(Joi.array().ordered(moment().required(), length().required()).length(2))
    .max(MOST_COUNTER_POINTS),
});
