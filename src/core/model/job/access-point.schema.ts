import Joi from 'joi';
import { flag, id, length, line, oneOf, words } from '../../base/joi';
import { ACCESS_KINDS } from '../../catalogue/access/index';
import { MATERIALS } from '../../catalogue/materials/index';
import { ZONES } from '../../catalogue/zones';
import { ALONG_LINE, TROUBLES } from './access-point';

export const accessPointSchema = Joi.object({
  id: id().required(),
  label: words(40),
  kind: oneOf(ACCESS_KINDS).required(),
  diameterIn: length().greater(0).max(120).required(),
  material: oneOf(MATERIALS).required(),
  place: line().required(),
  zone: oneOf(ZONES),
  usable: flag().required(),
  obstacle: line(1000).allow(null).required(),
  trouble: oneOf(TROUBLES),
  bendsDeg: Joi.array().items(Joi.number().greater(0).max(180)).max(20),
  dropFt: length(),
  alongLine: oneOf(ALONG_LINE),
});
