import type { DefectSpec } from '../defect';
import { sayShare } from '../say-size';
import { byShareOfBore } from '../severity/by-share';

export const grease: DefectSpec = {
  name: 'Grease',
  buyer: { name: 'Grease', trade: 'grease', plural: 'grease' },
  said: 'grease|greasy|fat|fats|grease {build up|buildup|buildup}',
  size: { share: 'area', leaves: 'round' },
  wants: 'how much of the pipe',
  severity: byShareOfBore('grease', 'grease fills', 'grease'),
  says: ({ facts }) => `Grease fills${sayShare(facts, 'pipe') || ' part of the pipe'}.`,
  means: 'Grease narrows the pipe and builds up.',
  traits: [
    'deposit',
    'cleaned-when-slight',
    'clogs',
    'new-pipe-ends',
    'washed-out',
    'narrows',
    'stops-camera',
    'fills',
  ],
  upkeep: 'Have the line jetted, and keep grease out of the drain.',
  drawnAs: 'grease',
};
