import type { MaterialSpec } from '../material';

export const hdpe: MaterialSpec = {
  name: 'HDPE',
  buyerName: 'HDPE plastic',
  said: 'hdpe|polyethylene|poly',
  service: { laid: { from: 1985, to: null }, life: { from: 50, to: 100 } },
  friction: 0.2,
  manningN: 0.01,
  traits: ['lasting', 'plastic'],
  tile: { width: 10, height: 10, tone: 'abs', strokes: [[0, 10, 10, 0]], dots: [] },
};
