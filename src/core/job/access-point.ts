import Joi from 'joi';
import { flag, id, length, line, oneOf, words } from '../base/joi';
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
  /** What people call it ("B"); absent: its id. */
  readonly label?: string;
  readonly kind: AccessKind;
  /** Nominal inside diameter of the opening, inches. */
  readonly diameterIn: number;
  readonly material: Material;
  readonly place: string;
  readonly zone: Zone;
  readonly usable: boolean;
  /** What is in the way; with `usable: false`, why it was refused. */
  readonly obstacle: string | null;
  /** Bends between the opening and the run of the pipe, degrees each, in the order met. */
  readonly bendsDeg?: readonly number[];
  /** Height of the opening over the pipe it leads into, feet. */
  readonly dropFt?: number;
  /** Where it leads in: at the house, along the line, at the property line. Absent: not known. */
  readonly along?: 'upstream-end' | 'mid-line' | 'downstream-end';
};

export const ALONG = ['upstream-end', 'mid-line', 'downstream-end'] as const;

export const accessPointSchema = Joi.object({
  id: id().required(),
  label: words(40),
  kind: oneOf(ACCESS_KINDS).required(),
  diameterIn: length().greater(0).max(120).required(),
  material: oneOf(MATERIALS).required(),
  place: line().required(),
  zone: oneOf(ZONES).required(),
  usable: flag().required(),
  obstacle: line(1000).allow(null).required(),
  bendsDeg: Joi.array().items(Joi.number().greater(0).max(180)).max(20),
  dropFt: length(),
  along: oneOf(ALONG),
});
