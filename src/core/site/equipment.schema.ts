import Joi from 'joi';
import { flag, length, line, words } from '../base/joi';
import { firmSchema, signingSchema } from '../model/firm/firm.schema';
import { judgementSchema } from '../model/job/judgement.schema';
import { lensFields } from '../model/log/still-measure.schema';
import { priceBookSchema } from '../model/prices/price-book.schema';
import { backupsSchema } from '../office/backups.schema';
import { hoursSchema } from '../office/hours.schema';

export const equipmentSchema = Joi.object({
  rodFt: length().greater(0).max(2000).required(),
  rodLbPerFt: Joi.number().greater(0).max(5).required(),
  pushLb: Joi.number().greater(0).max(500).required(),
  heads: Joi.array()
    .items(
      Joi.object({
        name: words(80).required(),
        diameterIn: length().greater(0).max(24).required(),
        levels: flag().required(),
        ...lensFields,
      }),
    )
    .min(1)
    .max(20)
    .required(),
  skids: Joi.array().items(line(80)).max(20).required(),
});

export const preferencesSchema = Joi.object({
  equipment: equipmentSchema.required(),
  ownWords: Joi.array()
    .items(Joi.object({ says: words(80).required(), means: words(120).required() }))
    .max(500)
    .required(),
  judgement: judgementSchema,
  firm: firmSchema,
  signing: signingSchema,
  priceBooks: Joi.array().items(priceBookSchema).max(100),
  hours: hoursSchema,
  keepMonths: Joi.number().integer().min(3).max(240).allow(null),
  backups: backupsSchema,
});
