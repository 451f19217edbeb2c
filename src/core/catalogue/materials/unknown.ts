import type { MaterialSpec } from '../material';

export const unknown: MaterialSpec = {
  name: 'unknown material',
  buyerName: 'not known',
  said: 'unknown material|material unknown|unknown pipe|{cant|cannot} tell material',
  service: null,
  friction: 0.5,
  manningN: 0.014,
  traits: ['bursts'],
  tile: { width: 9, height: 9, tone: 'unknown', strokes: [[2, 7, 7, 2]], dots: [] },
};
