import { sayPercent } from '../../base/numbers';
import type { DefectSpec } from '../defect';
import { byShareOfDiameter } from '../severity/by-share';

export const deformation: DefectSpec = {
  name: 'Deformation',
  buyer: { name: 'Pipe out of round', trade: 'deformation', plural: 'squashed pipe' },
  said: 'deformation|deformed|oval|ovaled|ovalled|egg shaped|squashed|out of round|flattened|flattened out|pipe is flat|going flat|humps|blister|blistered|blisters|blistering|hump|humped|heave|heaved|heaving|bulge|bulging|warped',
  size: { share: 'diameter', leaves: 'across' },
  wants: 'how much',
  severity: byShareOfDiameter('deformation', 'the pipe is out of round by', 'deformation'),
  says: ({ facts }) =>
    facts.extentRatio === null || facts.byWord !== null
      ? 'The pipe is no longer round.'
      : `The pipe is squashed by about ${sayPercent(facts.extentRatio)} of its width.`,
  means: 'A squashed pipe is under load and may crack.',
  traits: [
    'structure',
    'breaks',
    'new-inside-ends',
    'rests-on-material',
    'narrows',
    'stops-camera',
    'said-by-clock',
  ],
  drawnAs: 'deformation',
};
