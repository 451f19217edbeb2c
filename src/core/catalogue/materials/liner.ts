import type { MaterialSpec } from '../material';

export const liner: MaterialSpec = {
  name: 'liner',
  buyerName: 'liner',
  said: 'liner|lined|cured liner|cured in place [pipe|liner]|cipp',
  service: { laid: { from: 1985, to: null }, life: { from: 30, to: 50 } },
  friction: 0.3,
  manningN: 0.011,
  traits: ['lasting'],
  tile: {
    width: 12,
    height: 8,
    tone: 'liner',
    strokes: [
      [0, 2, 12, 2],
      [0, 6, 12, 6],
    ],
    dots: [],
  },
};
