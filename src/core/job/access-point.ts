import Joi from 'joi';
import { flag, id, length, line, oneOf } from '../base/joi';
import {
  ACCESS_KINDS,
  MATERIALS,
  ZONES,
  type AccessKind,
  type Material,
  type Zone,
} from '../log/vocabulary';

/** Where the camera goes in. */
export type AccessPoint = {
  readonly id: string;
  readonly kind: AccessKind;
  /** Nominal inside diameter of the opening, inches. */
  readonly diameterIn: number;
  readonly material: Material;
  readonly place: string;
  readonly zone: Zone;
  readonly usable: boolean;
  readonly obstacle: string | null;
};

export const accessPointSchema = Joi.object({
  id: id().required(),
  kind: oneOf(ACCESS_KINDS).required(),
  diameterIn: length().greater(0).max(120).required(),
  material: oneOf(MATERIALS).required(),
  place: line().required(),
  zone: oneOf(ZONES).required(),
  usable: flag().required(),
  obstacle: line(1000).allow(null).required(),
});
