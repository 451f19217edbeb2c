import type { MaterialSpec } from '../material';

export const castIron: MaterialSpec = {
  name: 'cast iron',
  buyerName: 'cast iron',
  said: 'cast iron|cast|iron|ci|cast iron pipe|iron pipe',
  service: { laid: { from: 1870, to: 1985 }, life: { from: 50, to: 90 } },
  friction: 0.5,
  manningN: 0.014,
  traits: ['iron', 'jointed', 'bursts'],
  tile: {
    width: 8,
    height: 8,
    tone: 'iron',
    strokes: [],
    dots: [
      [2, 2, 1.1],
      [6, 6, 1.1],
    ],
  },
};
