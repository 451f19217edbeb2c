import Joi from 'joi';
import { length, oneOf, ratio } from '../../base/joi';
import { MATERIALS } from '../../catalogue/materials/index';
import {
  findCrossedBounds,
  THRESHOLD_KEYS,
  THRESHOLD_TABLE,
  type Thresholds,
} from '../../catalogue/severity/thresholds';
import { firmSchema } from '../firm/firm.schema';
import { priceBookSchema } from '../prices/price-book.schema';
import { ASSUMPTION_KEYS, ASSUMPTION_TABLE, type AssumptionKey } from './assumptions';
import { holidaysSchema, reportOptionsSchema } from './report-options.schema';
import { LONGEST_HORIZON_YEARS } from './settings';

const year = () => Joi.number().integer().min(1).max(500).required();
const years = Joi.object({ from: year(), to: year() });

const threshold = (key: keyof Thresholds) => {
  const unit = THRESHOLD_TABLE[key][1];
  if (unit === 'share') return ratio();
  return unit === 'count' ? Joi.number().integer().min(1).max(1000) : length();
};
const thresholdsSchema = Joi.object(
  Object.fromEntries(THRESHOLD_KEYS.map((key) => [key, threshold(key)])),
).custom((value: Partial<Thresholds>, helpers) => {
  const crossed = findCrossedBounds(value);
  return crossed ? helpers.error('chert.ladder', { limit: crossed.join(' at or below ') }) : value;
});

const assumption = (key: AssumptionKey) => {
  const { unit } = ASSUMPTION_TABLE[key];
  if (unit === 'share' || unit === 'a year') return ratio();
  if (unit === 'years') return Joi.number().integer().min(1).max(100);
  return unit === 'ft' ? Joi.number().min(0).max(500) : Joi.number().min(0).max(100_000);
};
const assumptionsSchema = Joi.object(
  Object.fromEntries(ASSUMPTION_KEYS.map((key) => [key, assumption(key)])),
);

/** Settings as a file keeps them: only what differs from the defaults. */
export const settingsSchema = Joi.object({
  mergeFt: length().max(20),
  slipOn: oneOf(['even', 'out']),
  trustPass: oneOf(['back', 'out']),
  minDrainMin: Joi.number().min(0).max(600),
  eyeSizeIn: length().max(6),
  eyeShareRatio: ratio(),
  transmitterHeightIn: length().max(12),
  transmitterBehindIn: length().max(60),
  usualLives: Joi.object(Object.fromEntries(MATERIALS.map((material) => [material, years]))),
  thresholds: thresholdsSchema,
  horizonYears: Joi.number().integer().min(1).max(LONGEST_HORIZON_YEARS),
  priceBook: priceBookSchema,
  assumptions: assumptionsSchema,
  report: reportOptionsSchema,
  firm: firmSchema,
  holidays: holidaysSchema,
});
