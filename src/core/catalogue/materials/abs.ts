import type { MaterialSpec } from '../material';

export const abs: MaterialSpec = {
  name: 'ABS',
  buyerName: 'ABS plastic',
  said: 'abs|black plastic|abs pipe',
  service: { laid: { from: 1960, to: null }, life: { from: 50, to: 100 } },
  friction: 0.25,
  manningN: 0.01,
  traits: ['lasting', 'plastic'],
  tile: { width: 10, height: 5, tone: 'abs', strokes: [[0, 2.5, 10, 2.5]], dots: [] },
};
