import type { MaterialSpec } from '../material';
import { abs } from './abs';
import { asbestosCement } from './asbestos-cement';
import { bituminousFiber } from './bituminous-fiber';
import { castIron } from './cast-iron';
import { concrete } from './concrete';
import { ductileIron } from './ductile-iron';
import { galvanizedSteel } from './galvanized-steel';
import { hdpe } from './hdpe';
import { lead } from './lead';
import { liner } from './liner';
import { pvc } from './pvc';
import { unknown } from './unknown';
import { vitrifiedClay } from './vitrified-clay';

/** Every material of pipe, in the order of the lists. */
export const MATERIAL_SPECS = {
  'vitrified-clay': vitrifiedClay,
  'cast-iron': castIron,
  'ductile-iron': ductileIron,
  concrete,
  'asbestos-cement': asbestosCement,
  'bituminous-fiber': bituminousFiber,
  abs,
  pvc,
  hdpe,
  'galvanized-steel': galvanizedSteel,
  lead,
  liner,
  unknown,
} as const satisfies Record<string, MaterialSpec>;

export type Material = keyof typeof MATERIAL_SPECS;
export const MATERIALS = Object.keys(MATERIAL_SPECS) as Material[];
