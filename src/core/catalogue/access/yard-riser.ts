import type { AccessSpec } from '../access';

export const yardRiser: AccessSpec = {
  buyerName: 'yard riser',
  order: 2,
  why: 'riser in the yard: a straight way in',
};
