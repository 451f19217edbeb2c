import type { AccessSpec } from '../access';

export const branch: AccessSpec = {
  buyerName: 'branch',
  order: 9,
  why: 'the last resort: a small branch',
};
