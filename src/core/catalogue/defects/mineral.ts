import type { DefectSpec } from '../defect';
import { sayShare } from '../say-size';
import { byShareOfBore } from '../severity/by-share';

export const mineral: DefectSpec = {
  name: 'Mineral deposit',
  buyer: { name: 'Mineral deposit', trade: 'mineral deposit', plural: 'mineral deposits' },
  said: 'mineral|minerals|mineral {deposit|deposits|build up|buildup}|calcium|calcite|encrustation|lime [scale|deposit]',
  written: 'mineral deposit',
  size: { share: 'area', leaves: 'round' },
  wants: 'how much of the pipe',
  severity: byShareOfBore('mineral', 'mineral deposit fills', 'mineral deposit'),
  says: ({ facts }) =>
    `Hard mineral deposit fills${sayShare(facts, 'pipe') || ' part of the pipe'}.`,
  means: 'The deposit narrows the pipe and catches paper.',
  traits: [
    'deposit',
    'clogs',
    'grows-slowly',
    'new-pipe-ends',
    'narrows',
    'fills',
    'lies-on-invert',
  ],
  upkeep: 'Have the deposit removed and look again.',
  thenAsCause: 'take the deposit off',
  drawnAs: 'mineral',
};
