import type { DefectSpec, Forms } from '../defect';
import { sayForm, saySoil } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  'invert-missing': {
    said: '{invert|bottom} [is] {missing|gone}',
    grade: ['failed', 'the bottom of the pipe is missing'],
    sentence: 'There is a hole where the bottom of the pipe is missing.',
  },
  'wall-missing': {
    said: 'wall missing',
    grade: ['major', 'part of the wall is missing'],
    sentence: 'There is a hole where part of the pipe wall is missing.',
  },
  displaced: {
    grade: ['major', 'the wall round the hole has moved'],
    sentence: 'There is a hole in the pipe wall, and the wall round it has moved.',
  },
} as const satisfies Forms;

export const hole: DefectSpec = {
  name: 'Hole',
  buyer: { name: 'Hole in the pipe', trade: 'hole', plural: 'holes' },
  said: 'hole|holes|holed|void|puncture|punctured',
  wants: 'how bad',
  forms,
  severity: byForm('hole', forms, { unsized: 'major', soil: 'fails' }),
  says: ({ facts }) => sayForm(forms, facts, 'There is a hole in the pipe wall.') + saySoil(facts),
  means: 'A hole lets soil in and sewage out.',
  traits: [
    'structure',
    'breaks',
    'new-inside-ends',
    'rests-on-material',
    'said-by-clock',
    'opens-wall',
  ],
  drawnAs: 'hole',
};
