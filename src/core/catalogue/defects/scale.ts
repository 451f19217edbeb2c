import type { DefectSpec } from '../defect';
import { sayShare } from '../say-size';
import { byShareOfBore } from '../severity/by-share';

export const scale: DefectSpec = {
  name: 'Scale',
  buyer: { name: 'Scale', trade: 'scale', plural: 'scale' },
  said: 'scale|scaling|scaly|tuberculation|tubercles|rust|rusty|rust {flakes|scale|buildup}|flaking|corrosion build up|buildup',
  size: { share: 'area', leaves: 'round' },
  wants: 'how much of the pipe',
  severity: byShareOfBore('scale', 'scale fills', 'scale'),
  says: ({ facts }) => `Rust scale fills${sayShare(facts, 'pipe') || ' part of the pipe'}.`,
  means: 'Scale narrows the pipe and catches paper.',
  traits: [
    'deposit',
    'cleaned-when-slight',
    'clogs',
    'grows-slowly',
    'new-pipe-ends',
    'rests-on-material',
    'narrows',
    'fills',
  ],
  upkeep: 'Have the line descaled and looked at again.',
  thenAsCause: 'descale it',
  drawnAs: 'scale',
};
