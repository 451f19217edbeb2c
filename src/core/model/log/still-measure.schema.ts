import Joi from 'joi';
import { id, oneOf, ratio } from '../../base/joi';
import { STILL_MEASURES } from './still-measure';

const touch = () => Joi.array().ordered(ratio().required(), ratio().required()).length(2);

/** The fields of a lens, on a measure and on a camera head alike. */
export const lensFields = {
  distortion: Joi.number().min(-0.5).max(0.5),
  fieldDeg: Joi.number().min(20).max(170),
};

export const stillMeasureSchema = Joi.object({
  photoId: id().required(),
  what: oneOf(STILL_MEASURES).required(),
  aspect: Joi.number().min(0.2).max(5).required(),
  pipe: Joi.array().items(touch()).min(3).max(60).required(),
  on: Joi.array().items(touch()).min(2).max(400).required(),
  bottom: touch(),
  vanish: touch(),
  ...lensFields,
});
