import type { MaterialSpec } from '../material';

export const galvanizedSteel: MaterialSpec = {
  name: 'galvanized steel',
  buyerName: 'galvanized steel',
  said: 'galvanized|galvanised|galvanized steel|galvanised steel|galv|steel',
  service: { laid: { from: 1900, to: 1965 }, life: { from: 40, to: 60 } },
  friction: 0.5,
  manningN: 0.016,
  traits: [],
  tile: { width: 5, height: 10, tone: 'steel', strokes: [[2.5, 0, 2.5, 10]], dots: [] },
};
