import Joi from 'joi';
import { flag, length, line, oneOf, prose, words } from '../../../base/joi';
import { DEFECTS } from '../../../catalogue/defects/index';
import { FLOW_RESULTS, UNSEEN_CAUSES, WATER_STATES } from '../../../catalogue/vocabulary';

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
  not: flag(),
  text: prose().required(),
};
export const flowTestKeys = {
  fixture: words().required(),
  result: oneOf(FLOW_RESULTS).required(),
};
