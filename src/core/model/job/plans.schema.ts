import Joi from 'joi';
import { id, length, line, oneOf } from '../../base/joi';
import { METHOD_IDS } from '../../catalogue/method-ids';
import { QUOTE_INCLUDES } from './plans';

const feet = () => Joi.number().min(-100_000).max(100_000);
const dollars = () => Joi.number().min(0).max(10_000_000);

export const quoteSchema = Joi.object({
  id: id().required(),
  kind: Joi.valid('contractor-quote').required(),
  reason: Joi.string().allow('').max(2000).required(),
  from: line(120).required(),
  total: dollars().allow(null).required(),
  lines: Joi.array()
    .items(
      Joi.object({
        method: oneOf(METHOD_IDS).required(),
        fromFt: feet().allow(null).required(),
        toFt: feet().allow(null).required(),
        lengthFt: length().allow(null).required(),
        price: dollars().allow(null).required(),
        priceTo: dollars(),
      }),
    )
    .max(100)
    .required(),
  includes: Joi.array().items(oneOf(QUOTE_INCLUDES)).required(),
}).unknown();
