import type { MaterialSpec } from '../material';

export const pvc: MaterialSpec = {
  name: 'PVC',
  buyerName: 'PVC plastic',
  said: 'pvc|white plastic|plastic|pvc pipe|sdr 35|sdr 26|schedule 40|sch 40|green pipe',
  service: { laid: { from: 1965, to: null }, life: { from: 60, to: 100 } },
  friction: 0.25,
  manningN: 0.01,
  traits: ['lasting', 'plastic'],
  tile: { width: 24, height: 10, tone: 'pvc', strokes: [[4, 5, 14, 5]], dots: [] },
};
