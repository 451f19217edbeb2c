import type { DefectSpec } from '../defect';
import { fixedAt } from '../severity/fixed';

export const residueLine: DefectSpec = {
  name: 'Residue line',
  buyer: { name: 'Old high-water mark', trade: 'residue line', plural: 'old high-water marks' },
  said: 'residue|residue line|high water {mark|line}|water line mark|waterline mark|scum line|old water {mark|line}|{stain|staining} line|bathtub ring',
  size: { inches: 'depthIn' },
  severity: fixedAt(
    'residue-line',
    'slight',
    'a line of residue shows that water stood higher before',
  ),
  says: () => 'A mark on the wall shows that water stood higher before.',
  means: 'The line may have been blocked farther down at some time.',
  traits: ['never-major'],
  drawnAs: 'residue-line',
};
