import type { DefectSpec, Forms } from '../defect';
import { sayInches, saySoil } from '../say-size';
import { byHeight, offsetBounds } from '../severity/by-height';

const forms = {
  'step-up': {
    said: 'step up|up step',
  },
  'step-down': {
    said: 'step down|down step',
  },
} as const satisfies Forms;

export const offset: DefectSpec = {
  name: 'Offset',
  buyer: {
    name: 'Pipe ends out of line',
    trade: 'offset joint',
    plural: 'pipe ends out of line',
    isMany: true,
  },
  said: 'offset|ofs|offsets|offset joint|joint offset|misaligned [joint]|misalignment|displaced joint|joint displaced|out of line|dropped joint|joint dropped',
  size: { inches: 'offsetIn', isHeight: true, leaves: 'height' },
  wants: 'how many inches',
  forms,
  severity: byHeight('offset', ({ offsetIn }) => offsetIn, offsetBounds, { failsBySoil: true }),
  says: ({ facts }) =>
    (facts.offsetIn === null || facts.byWord !== null
      ? 'Two pipe ends do not line up.'
      : `Two pipe ends are out of line by ${sayInches(facts.offsetIn)}.`) + saySoil(facts),
  means: 'Solids can catch on the edge.',
  traits: [
    'structure',
    'catches',
    'new-inside-ends',
    'rests-on-bore',
    'narrows',
    'stops-camera',
    'holds-waste',
    'said-by-clock',
    'opens-wall',
  ],
  thenAsCause: 'repair the joint',
  drawnAs: 'offset',
};
