import type { AccessSpec } from '../access';

export const stackCleanout: AccessSpec = {
  buyerName: 'stack cleanout',
  order: 4,
  why: 'cleanout at the stack: sees the building drain as well',
};
