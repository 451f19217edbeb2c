import type { MaterialSpec } from '../material';

export const lead: MaterialSpec = {
  name: 'lead',
  buyerName: 'lead',
  said: 'lead|lead pipe',
  service: { laid: { from: 1850, to: 1940 }, life: { from: 60, to: 100 } },
  friction: 0.4,
  manningN: 0.011,
  traits: [],
  tile: { width: 6, height: 6, tone: 'steel', strokes: [[0, 0, 6, 6]], dots: [] },
};
