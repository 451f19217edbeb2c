import type { AccessSpec } from '../access';

export const twoWayCleanout: AccessSpec = {
  buyerName: 'two-way cleanout',
  order: 0,
  why: 'two-way cleanout: both directions from one opening',
};
