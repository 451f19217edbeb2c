import type { DefectSpec } from '../defect';
import { breakage } from './break';
import { collapse } from './collapse';
import { couplingFailed } from './coupling-failed';
import { crack } from './crack';
import { debris } from './debris';
import { deformation } from './deformation';
import { exfiltration } from './exfiltration';
import { foreignObject } from './foreign-object';
import { gap } from './gap';
import { grease } from './grease';
import { hole } from './hole';
import { infiltration } from './infiltration';
import { intrudingTap } from './intruding-tap';
import { lip } from './lip';
import { mineral } from './mineral';
import { offset } from './offset';
import { residueLine } from './residue-line';
import { roots } from './roots';
import { scale } from './scale';
import { spalling } from './spalling';
import { standingWater } from './standing-water';
import { unidentified } from './unidentified';
import { utilityCrossing } from './utility-crossing';
import { vermin } from './vermin';
import { wallLoss } from './wall-loss';

/** Every kind of defect, in the order in which they are told. */
export const DEFECT_SPECS = {
  'standing-water': standingWater,
  roots,
  offset,
  gap,
  crack,
  break: breakage,
  hole,
  collapse,
  deformation,
  'intruding-tap': intrudingTap,
  scale,
  grease,
  debris,
  mineral,
  'wall-loss': wallLoss,
  spalling,
  lip,
  'coupling-failed': couplingFailed,
  exfiltration,
  infiltration,
  'residue-line': residueLine,
  vermin,
  'foreign-object': foreignObject,
  unidentified,
  'utility-crossing': utilityCrossing,
} as const satisfies Record<string, DefectSpec>;

export type DefectKind = keyof typeof DEFECT_SPECS;
export const DEFECTS = Object.keys(DEFECT_SPECS) as DefectKind[];
