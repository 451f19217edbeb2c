import type { MaterialSpec } from '../material';

export const asbestosCement: MaterialSpec = {
  name: 'asbestos cement',
  buyerName: 'asbestos cement',
  said: 'asbestos|asbestos cement|ac pipe|acp|asbestos pipe',
  service: { laid: { from: 1930, to: 1985 }, life: { from: 50, to: 70 } },
  friction: 0.45,
  manningN: 0.011,
  traits: ['jointed'],
  tile: {
    width: 8,
    height: 8,
    tone: 'concrete',
    strokes: [
      [0, 0, 8, 8],
      [8, 0, 0, 8],
    ],
    dots: [],
  },
};
