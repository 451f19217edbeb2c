import type { DefectSpec } from '../defect';
import { fixedAt } from '../severity/fixed';

export const utilityCrossing: DefectSpec = {
  name: 'Utility through the sewer',
  buyer: {
    name: 'Another utility through the sewer',
    trade: 'utility crossing',
    plural: 'utility lines through the sewer',
  },
  said: '{gas|water|electric|electrical|power|fiber|phone} {line|main|pipe|conduit} {through|across|crossing} [sewer|pipe|line|lateral]|gas {line|pipe}|cable|conduit|utility [line|pipe|crossing]|electrical line|electric line|cross bore|crossbore|{cable|conduit|utility} {through|across|crossing} [sewer|pipe|line|lateral]|{gas|water|electric|electrical|power|fiber|phone} {line|main|pipe|conduit} right through [sewer|pipe|line|lateral]',
  severity: fixedAt(
    'utility-crossing',
    'failed',
    'another utility runs through the sewer: stop, do not cut or jet',
  ),
  says: () => 'Another utility’s pipe or cable runs through the sewer.',
  means: 'A machine in this sewer could cut it. A cut gas line kills.',
  traits: ['said-by-clock'],
  drawnAs: 'utility',
};
