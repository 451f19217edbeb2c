import type { MaterialSpec } from '../material';

export const concrete: MaterialSpec = {
  name: 'concrete',
  buyerName: 'concrete',
  said: 'concrete|cement|cement pipe|concrete pipe',
  service: { laid: { from: 1900, to: 1985 }, life: { from: 50, to: 80 } },
  friction: 0.5,
  manningN: 0.013,
  traits: ['jointed', 'bursts'],
  tile: {
    width: 14,
    height: 12,
    tone: 'concrete',
    strokes: [],
    dots: [
      [3, 3, 1.6],
      [9, 8, 2],
      [12, 2, 0.9],
      [5, 10, 0.8],
    ],
  },
};
