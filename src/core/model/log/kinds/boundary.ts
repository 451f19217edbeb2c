import { type Material } from '../../../catalogue/materials/index';
import { JOINT_STYLES, type Side } from '../../../catalogue/vocabulary';
import { type Zone } from '../../../catalogue/zones';
import type { EntryBase } from '../entry-base';

/** A change of pipe: says what the pipe is on one side of this reading. */
export type MaterialEntry = EntryBase & {
  readonly kind: 'material';
  readonly side: Side;
  readonly material: Material;
  /** Nominal inside diameter, inches; absent: as before, assumed. */
  readonly diameterIn?: number;
  readonly lined?: boolean;
  /** What else it may be, where nobody could tell. */
  readonly candidates?: readonly Material[];
  readonly joint?: (typeof JOINT_STYLES)[number];
  /** Height of the upstanding edge at the change, inches. */
  readonly lipIn?: number;
};

/** A change of what lies overhead: says the zone on one side of this reading. */
export type ZoneEntry = EntryBase & {
  readonly kind: 'zone';
  readonly zone: Zone;
  readonly side: Side;
};
