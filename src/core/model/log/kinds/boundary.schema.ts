import Joi from 'joi';
import { flag, length, oneOf } from '../../../base/joi';
import { MATERIALS } from '../../../catalogue/materials/index';
import { JOINT_STYLES, SIDES } from '../../../catalogue/vocabulary';
import { ZONES } from '../../../catalogue/zones';

export const materialKeys = {
  side: oneOf(SIDES).required(),
  material: oneOf(MATERIALS).required(),
  diameterIn: length().greater(0).max(120),
  lined: flag(),
  candidates: Joi.array().items(oneOf(MATERIALS)).max(MATERIALS.length),
  joint: oneOf(JOINT_STYLES),
  lipIn: length(),
};

export const zoneKeys = { zone: oneOf(ZONES).required(), side: oneOf(SIDES).required() };
