import Joi from 'joi';

const minute = () => Joi.number().integer().min(0).max(1440);

export const hoursSchema = Joi.object({
  startMin: minute().required(),
  endMin: minute().greater(Joi.ref('startMin')).required(),
  rain: Joi.object({
    fromMin: minute().required(),
    toMin: minute().greater(Joi.ref('fromMin')).required(),
  })
    .allow(null)
    .required(),
  travel: Joi.object({
    factor: Joi.number().min(1).max(3).required(),
    mph: Joi.number().min(5).max(80).required(),
    stopMin: Joi.number().min(0).max(60).required(),
    unknownMin: Joi.number().min(0).max(240).required(),
  }).required(),
});
