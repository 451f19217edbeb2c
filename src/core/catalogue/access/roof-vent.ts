import type { AccessSpec } from '../access';

export const roofVent: AccessSpec = {
  buyerName: 'roof vent',
  order: 7,
  isOnRoof: true,
  why: 'a fallback: roof work, a long drop, tight bends',
  caution: { about: 'Roof and ladder', text: 'Fall protection, or do not go.' },
};
