import type { MaterialSpec } from '../material';

export const bituminousFiber: MaterialSpec = {
  name: 'bituminous fiber',
  buyerName: 'tar-paper fiber',
  said: 'bituminous [fiber]|tar paper|tarpaper|{tar paper|tarpaper|fiber|fibre|pitch fiber|wood pulp} pipe|pitch fiber|fiber|fibre',
  service: { laid: { from: 1940, to: 1975 }, life: { from: 30, to: 50 } },
  friction: 0.45,
  manningN: 0.013,
  traits: ['jointed', 'bursts'],
  tile: {
    width: 12,
    height: 6,
    tone: 'fiber',
    strokes: [[0, 3, 1.5, 1.9, 3, 1.5, 4.5, 1.9, 6, 3, 7.5, 4.1, 9, 4.5, 10.5, 4.1, 12, 3]],
    dots: [],
  },
};
