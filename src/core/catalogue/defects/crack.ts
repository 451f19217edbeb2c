import type { DefectSpec, Forms } from '../defect';
import { sayForm, saySoil } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  displaced: {
    said: 'displaced|shifted',
    grade: ['failed', 'the crack is displaced: the wall has moved'],
    sentence: 'The pipe wall is cracked and has moved out of place.',
  },
  several: {
    said: 'several|multiple|many|spider|spidered|spiderweb',
    grade: ['major', 'several cracks'],
    sentence: 'There are several cracks in the pipe wall.',
  },
  open: {
    said: 'open|wide|wide open',
    grade: ['moderate', 'an open crack'],
    sentence: 'There is an open crack in the pipe wall.',
  },
  hairline: {
    said: 'hairline|hair line|hair|fine|thin',
    grade: ['slight', 'a hairline crack'],
    sentence: 'There is a hairline crack in the pipe wall.',
  },
} as const satisfies Forms;

export const crack: DefectSpec = {
  name: 'Crack',
  buyer: { name: 'Crack', trade: 'crack', plural: 'cracks' },
  said: 'crack|cracks|frac|fracs|crk|crks|cracked|cracking|fracture|fractures|fractured',
  size: { inches: 'gapIn' },
  wants: 'hairline, open or several',
  forms,
  severity: byForm('crack', forms, { unsized: 'moderate', soil: 'fails' }),
  says: ({ facts }) => sayForm(forms, facts, 'The pipe wall is cracked.') + saySoil(facts),
  means: 'A crack lets roots in and can grow.',
  traits: [
    'structure',
    'breaks',
    'new-inside-ends',
    'rests-on-material',
    'said-by-clock',
    'opens-wall',
  ],
  drawnAs: 'crack',
};
