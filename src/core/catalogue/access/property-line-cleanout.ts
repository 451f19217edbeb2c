import type { AccessSpec } from '../access';

export const propertyLineCleanout: AccessSpec = {
  buyerName: 'property-line cleanout',
  order: 3,
  why: 'cleanout at the property line: good for the public side',
};
