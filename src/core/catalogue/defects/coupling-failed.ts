import type { DefectSpec, Forms } from '../defect';
import { sayForm, saySoil } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  'gasket-in-bore': {
    said: 'gasket|rubber|in bore|in pipe|hanging',
    grade: ['major', 'gasket or rubber hangs into the pipe'],
    sentence: 'The sleeve that joins two pipes has failed, and its rubber hangs into the pipe.',
  },
  sealed: {
    said: 'sealed|still sealed|still tight',
    grade: ['moderate', 'the coupling has failed but is still sealed'],
    sentence: 'The sleeve that joins two pipes has failed, but still seals.',
  },
} as const satisfies Forms;

export const couplingFailed: DefectSpec = {
  name: 'Failed coupling',
  buyer: { name: 'Failed coupling', trade: 'failed coupling', plural: 'failed couplings' },
  said: '{failed|bad|leaking|slipped|torn|loose} {coupling|gasket|sleeve|seal}|{coupling|sleeve|gasket|seal} [has] {failed|slipped|leaking|torn|loose}|{gasket|rubber|seal|rubber gasket|sealing ring|rubber ring} [is] {showing|hanging|hanging down|hanging out|sticking out|in bore|in pipe|visible}|{hanging|exposed} gasket',
  written: 'failed coupling',
  forms,
  severity: byForm('coupling-failed', forms, { unsized: 'moderate', soil: 'fails' }),
  says: ({ facts }) =>
    sayForm(forms, facts, 'The sleeve that joins two pipes has failed.') + saySoil(facts),
  means: 'It can leak and let roots in.',
  traits: ['structure', 'breaks', 'new-inside-ends', 'said-by-clock', 'opens-wall'],
  drawnAs: 'gasket',
};
