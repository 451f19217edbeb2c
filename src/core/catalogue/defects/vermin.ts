import type { DefectSpec } from '../defect';
import { fixedAt } from '../severity/fixed';

export const vermin: DefectSpec = {
  name: 'Vermin',
  buyer: { name: 'Signs of animals', trade: 'vermin', plural: 'signs of animals', isMany: true },
  said: 'vermin|rat|rats|mouse|mice|roach|roaches|cockroaches|animal|animals|frog|frogs|bugs|insects',
  severity: fixedAt('vermin', 'slight', 'animals have been in the pipe'),
  says: () => 'There are signs of animals in the pipe.',
  means: 'Animals get in where a pipe is open.',
  traits: ['new-pipe-ends', 'never-major'],
  drawnAs: 'vermin',
};
