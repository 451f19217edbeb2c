import type { DefectSpec } from '../defect';
import { fixedAt } from '../severity/fixed';

export const collapse: DefectSpec = {
  name: 'Collapse',
  buyer: { name: 'Collapsed pipe', trade: 'collapse', plural: 'collapse' },
  said: 'collapse|collapsed|caved [in]|cave in|crushed [flat]|crushed in|pipe [is] {crushed|collapsed}',
  severity: fixedAt('collapse', 'failed', 'the pipe has collapsed'),
  says: () => 'The pipe has fallen in.',
  means: 'Nothing can pass a collapsed pipe for long.',
  traits: [
    'structure',
    'breaks',
    'given-way',
    'new-pipe-ends',
    'rests-on-material',
    'narrows',
    'stops-camera',
    'fills',
  ],
  repair: 'Have this stretch dug up and replaced.',
  drawnAs: 'collapse',
};
