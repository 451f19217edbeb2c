import type { AccessSpec } from '../access';
import { branch } from './branch';
import { cleanout } from './cleanout';
import { otherOpening } from './other';
import { propertyLineCleanout } from './property-line-cleanout';
import { pulledToilet } from './pulled-toilet';
import { roofVent } from './roof-vent';
import { stackCleanout } from './stack-cleanout';
import { twoWayCleanout } from './two-way-cleanout';
import { yardRiser } from './yard-riser';

/** Every kind of opening that a camera goes in by, in the order of the lists. */
export const ACCESS_SPECS = {
  cleanout,
  'two-way-cleanout': twoWayCleanout,
  'stack-cleanout': stackCleanout,
  'property-line-cleanout': propertyLineCleanout,
  'roof-vent': roofVent,
  'pulled-toilet': pulledToilet,
  'yard-riser': yardRiser,
  branch,
  other: otherOpening,
} as const satisfies Record<string, AccessSpec>;

export type AccessKind = keyof typeof ACCESS_SPECS;
export const ACCESS_KINDS = Object.keys(ACCESS_SPECS) as AccessKind[];
