import type { AccessSpec } from '../access';

export const cleanout: AccessSpec = {
  buyerName: 'cleanout',
  order: 1,
  why: 'a proper cleanout',
};
