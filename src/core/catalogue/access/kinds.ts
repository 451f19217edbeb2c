import type { AccessSpec } from '../access';
import { ACCESS_SPECS, type AccessKind } from './index';

/** The catalogue's page on a kind of opening. */
export const accessOf = (kind: AccessKind): AccessSpec => ACCESS_SPECS[kind];
