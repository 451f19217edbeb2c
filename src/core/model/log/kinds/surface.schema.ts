import Joi from 'joi';
import { id, length, line, words } from '../../../base/joi';

export const locateKeys = {
  depthIn: length(),
  depthToIn: length(),
  confirms: id(),
  mark: line(),
  reference: line(1000),
  swings: Joi.array()
    .items(Joi.object({ from: words().required(), distanceFt: length().required() }))
    .min(2)
    .max(20),
  groundIn: Joi.number().min(-12_000).max(12_000),
  position: Joi.object({
    latDeg: Joi.number().min(-90).max(90).required(),
    lonDeg: Joi.number().min(-180).max(180).required(),
    accuracyFt: length(),
  }),
  blockedBy: line(),
};

export const surfaceKeys = { what: words(80).required(), offsetFt: length(), seenOnWalk: id() };
