import type { DefectSpec, Forms } from '../defect';
import { sayForm } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  hole: {
    said: 'hole|holes|holed',
    grade: ['failed', 'the concrete is worn through'],
    sentence: 'The concrete wall is worn through.',
  },
  'stone-exposed': {
    said: 'stone exposed|stone|stones|aggregate|exposed {stone|stones|aggregate}',
    grade: ['moderate', 'the stone in the concrete shows'],
    sentence: 'The concrete wall is worn until its stone shows.',
  },
  grains: {
    said: 'grains|sandy|grain',
    grade: ['slight', 'the concrete sheds grains'],
    sentence: 'The concrete wall sheds grains.',
  },
} as const satisfies Forms;

export const spalling: DefectSpec = {
  name: 'Spalling',
  buyer: { name: 'Worn concrete', trade: 'spalling', plural: 'worn concrete' },
  said: 'spalling|spalled|spall|concrete [is] {wearing|worn|shedding|eroding}|aggregate {showing|visible}|exposed {stone|stones|aggregate}|surface loss',
  forms,
  severity: byForm('spalling', forms, { unsized: 'slight' }),
  says: ({ facts }) => sayForm(forms, facts, 'The concrete wall is wearing.'),
  means: 'Sewer gas eats concrete over the years.',
  traits: ['structure', 'breaks', 'new-inside-ends', 'rests-on-material'],
  drawnAs: 'spalling',
};
