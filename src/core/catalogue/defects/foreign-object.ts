import type { DefectSpec } from '../defect';
import { sayShare } from '../say-size';
import { byShareOfBore } from '../severity/by-share';

export const foreignObject: DefectSpec = {
  name: 'Foreign object',
  buyer: { name: 'Object in the pipe', trade: 'foreign object', plural: 'objects in the pipe' },
  said: 'foreign {object|material}|object|toy|brick|tool|bottle|stick|bone|bones|piece of wood|screw|nail',
  size: { share: 'area', leaves: 'one-sided' },
  severity: byShareOfBore('foreign-object', 'the object fills', 'foreign object'),
  says: ({ facts }) =>
    `An object lies in the pipe${sayShare(facts, 'pipe') ? ` and fills${sayShare(facts, 'pipe')}` : ''}.`,
  means: 'It can catch waste.',
  traits: [
    'catches',
    'new-pipe-ends',
    'flushed',
    'narrows',
    'holds-waste',
    'said-by-clock',
    'fills',
    'lies-on-invert',
  ],
  drawnAs: 'foreign-object',
};
