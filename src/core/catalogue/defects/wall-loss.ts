import type { DefectSpec, Forms } from '../defect';
import { sayForm } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  'invert-gone': {
    said: 'gone|invert gone|bottom gone',
    grade: ['failed', 'the bottom of the pipe is gone'],
    sentence: 'The bottom of the pipe is worn through.',
  },
  pitted: {
    said: 'pitted|pitting|pits',
    grade: ['major', 'the bottom of the pipe is pitted'],
    sentence: 'The bottom of the pipe is pitted.',
  },
  rough: {
    said: 'rough',
    grade: ['moderate', 'the bottom of the pipe is rough'],
    sentence: 'The bottom of the pipe is rough.',
  },
} as const satisfies Forms;

export const wallLoss: DefectSpec = {
  name: 'Wall loss',
  buyer: { name: 'Worn pipe bottom', trade: 'wall loss', plural: 'worn pipe bottom' },
  said: 'wall loss|rotted [out]|rusted {out|through}|{pipe|iron} [is] {rotted|rotten} [out]|corroded|corroding|corrosion|channeling|channelling|channeled|channelled|pitted|pitting|{invert|bottom|inverts|bottoms|channel|channels} [is] {gone|rotted|rotted out|corroded|pitted|rough|eaten away|eroded}|thin wall|wall thinning|{bottom|invert} of pipe [is] {gone|missing|rotted|rusted|worn|eaten} [out|through|away]|{worn|eaten|rusted|rotted|corroded} {through|away|out}|worn|worn thin|rotten|rotted through|{invert|inverts|bottom|bottoms} [is] {worn|worn through|worn out|rotted through|rusted through|rusted out|rotten}|{iron|irons} [is] {rotted out|rotted|rotten|shot}|{lost|losing|missing} {bottom|invert} [of [this|the] pipe]',
  wants: 'rough, pitted or gone',
  forms,
  severity: byForm('wall-loss', forms, {
    unsized: 'moderate',
    inStandingWater: { rough: ['major', 'the bottom is rough and water stands on it'] },
  }),
  says: ({ facts }) => sayForm(forms, facts, 'The bottom of the pipe is worn.'),
  means: 'Iron wears thin from the bottom up.',
  traits: ['structure', 'breaks', 'new-inside-ends', 'rests-on-material', 'at-invert'],
  drawnAs: 'wall-loss',
};
