import type { DefectSpec, Forms } from '../defect';
import { sayForm, saySoil } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  'soil-washed': {
    said: 'soil washed|washed {out|away}|washing out',
    grade: ['major', 'sewage leaks out and has washed soil away'],
    sentence: 'Sewage runs out of the pipe and has washed soil away.',
  },
  run: {
    said: 'run|runs|running',
    grade: ['major', 'sewage runs out'],
    sentence: 'Sewage runs out of the pipe.',
  },
  drip: {
    said: 'drip|drips|dripping',
    grade: ['moderate', 'sewage drips out'],
    sentence: 'Sewage drips out of the pipe.',
  },
  seep: {
    said: 'seep|seeps|seeping|weep|weeping',
    grade: ['slight', 'sewage seeps out'],
    sentence: 'Sewage seeps out of the pipe.',
  },
} as const satisfies Forms;

export const exfiltration: DefectSpec = {
  name: 'Exfiltration',
  buyer: { name: 'Sewage leaking out', trade: 'exfiltration', plural: 'sewage leaking out' },
  said: 'exfiltration|leaking out|leaks out|leak out|seeping out|running out|losing water|sewage {leaking|running} out',
  forms,
  severity: byForm('exfiltration', forms, { unsized: 'moderate', soil: 'soil-washed' }),
  says: ({ facts }) => sayForm(forms, facts, 'Sewage leaks out of the pipe.') + saySoil(facts),
  means: 'The pipe is open to the ground here, and what leaks out washes soil away.',
  traits: [],
  drawnAs: 'leak-out',
};
