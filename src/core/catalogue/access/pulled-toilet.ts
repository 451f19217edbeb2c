import type { AccessSpec } from '../access';

export const pulledToilet: AccessSpec = {
  buyerName: 'pulled toilet',
  order: 6,
  why: 'a fallback: needs a new seal when it is refitted',
  caution: { about: 'Pulled toilet', text: 'A new seal when it is refitted.' },
};
