import type { AccessSpec } from '../access';

export const otherOpening: AccessSpec = {
  buyerName: 'opening',
  order: 8,
  why: 'an opening of another kind',
};
