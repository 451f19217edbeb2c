import type { FeatureSpec } from '../feature';
import { accessPoint } from './access-point';
import { bend } from './bend';
import { cleanout } from './cleanout';
import { coupling } from './coupling';
import { drop } from './drop';
import { join } from './join';
import { mainTap } from './main-tap';
import { propertyLine } from './property-line';
import { propertyLineCleanout } from './property-line-cleanout';
import { reducer } from './reducer';
import { riser } from './riser';
import { tank } from './tank';
import { tee } from './tee';
import { testTee } from './test-tee';
import { trap } from './trap';
import { upstreamEnd } from './upstream-end';
import { vent } from './vent';
import { wall } from './wall';
import { wye } from './wye';

/** Everything that belongs in a line, in the order of the lists. */
export const FEATURE_SPECS = {
  tee,
  wye,
  bend,
  drop,
  cleanout,
  'property-line-cleanout': propertyLineCleanout,
  'access-point': accessPoint,
  'test-tee': testTee,
  reducer,
  trap,
  riser,
  coupling,
  vent,
  'property-line': propertyLine,
  wall,
  'main-tap': mainTap,
  tank,
  join,
  'upstream-end': upstreamEnd,
} as const satisfies Record<string, FeatureSpec>;

export type FeatureKind = keyof typeof FEATURE_SPECS;
export const FEATURES = Object.keys(FEATURE_SPECS) as FeatureKind[];
