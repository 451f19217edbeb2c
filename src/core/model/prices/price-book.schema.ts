import Joi from 'joi';
import { day, id, line, words } from '../../base/joi';
import type { Range } from '../../base/range';
import { whyImplausible } from './price-book';
import { PRICE_KEYS, type PriceKey } from './price-table';

const amount = () => Joi.number().min(0).max(1_000_000).required();
const range = (key: PriceKey) =>
  Joi.object({ low: amount(), likely: amount(), high: amount() }).custom(
    (value: Range, helpers) => {
      const why = whyImplausible(key, value);
      return why === null ? value : helpers.error('chert.price', { limit: why });
    },
  );

export const priceBookSchema = Joi.object({
  id: id().required(),
  name: words(80).required(),
  source: line(200).required(),
  editedOn: day().required(),
  prices: Joi.object(Object.fromEntries(PRICE_KEYS.map((key) => [key, range(key)]))).required(),
});
