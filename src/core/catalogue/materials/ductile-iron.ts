import type { MaterialSpec } from '../material';

export const ductileIron: MaterialSpec = {
  name: 'ductile iron',
  buyerName: 'ductile iron',
  said: 'ductile|ductile iron|dip',
  service: { laid: { from: 1955, to: null }, life: { from: 60, to: 100 } },
  friction: 0.45,
  manningN: 0.013,
  traits: ['iron'],
  tile: {
    width: 10,
    height: 10,
    tone: 'iron',
    strokes: [],
    dots: [
      [3, 3, 1.9],
      [8, 8, 1.9],
    ],
  },
};
