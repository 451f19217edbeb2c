import type { DefectSpec, Forms } from '../defect';
import { sayForm } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  run: {
    said: 'run|runs|running|running in|gushing',
    grade: ['major', 'ground water runs in'],
    sentence: 'Ground water runs into the pipe.',
  },
  drip: {
    said: 'drip|drips|dripping',
    grade: ['moderate', 'ground water drips in'],
    sentence: 'Ground water drips into the pipe.',
  },
  seep: {
    said: 'seep|seeps|seeping|seepage|weep|weeping|damp',
    grade: ['slight', 'ground water seeps in'],
    sentence: 'Ground water seeps into the pipe.',
  },
} as const satisfies Forms;

export const infiltration: DefectSpec = {
  name: 'Infiltration',
  buyer: {
    name: 'Ground water coming in',
    trade: 'infiltration',
    plural: 'ground water coming in',
  },
  said: 'infiltration|ground water|groundwater|water {coming|running|dripping|seeping|leaking} in|leak|leaks|leaking|leaking in|leaks in|seep|seeps|seeping|seepage|weep|weeping|dripping|drip|drips',
  wants: 'seep, drip or run',
  forms,
  severity: byForm('infiltration', forms, { unsized: 'moderate' }),
  says: ({ facts }) => sayForm(forms, facts, 'Ground water comes in through the pipe.'),
  means: 'The pipe is open to the ground here.',
  traits: ['new-inside-ends', 'said-by-clock'],
  drawnAs: 'leak-in',
};
