import type { DefectSpec, Forms } from '../defect';
import { sayForm, saySoil } from '../say-size';
import { byForm } from '../severity/by-form';

const forms = {
  'invert-missing': {
    said: '{invert|bottom} [is] {missing|gone}',
    grade: ['failed', 'the bottom of the pipe is missing'],
    sentence: 'The pipe is broken and its bottom is missing.',
  },
  'wall-missing': {
    said: 'wall missing|wall gone|missing|gone|{piece|pieces|chunk|section|crown|top} {missing|gone}|{piece|chunk} out',
    grade: ['major', 'part of the wall is missing'],
    sentence: 'The pipe is broken and part of its wall is missing.',
  },
  displaced: {
    said: 'displaced|shifted',
    grade: ['major', 'broken wall has moved out of place'],
    sentence: 'The pipe is broken and has moved out of place.',
  },
} as const satisfies Forms;

export const breakage: DefectSpec = {
  name: 'Break',
  buyer: { name: 'Broken pipe', trade: 'break', plural: 'breaks' },
  said: 'break|breaks|broken|broke|broken {pipe|joint}|pipe [is|is all] {broken|broke}|shattered|busted|missing {pipe|piece|wall}|{piece|pieces|chunk|section} {missing|gone}',
  wants: 'displaced, or wall missing',
  forms,
  severity: byForm('break', forms, { unsized: 'major', soil: 'fails' }),
  says: ({ facts }) => sayForm(forms, facts, 'The pipe is broken.') + saySoil(facts),
  means: 'A broken pipe leaks and catches waste.',
  traits: [
    'structure',
    'breaks',
    'given-way',
    'new-inside-ends',
    'rests-on-material',
    'stops-camera',
    'holds-waste',
    'said-by-clock',
    'opens-wall',
  ],
  drawnAs: 'break',
};
