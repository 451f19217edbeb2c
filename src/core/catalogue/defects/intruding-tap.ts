import type { DefectSpec } from '../defect';
import { sayShare } from '../say-size';
import { byShareOfDiameter } from '../severity/by-share';

export const intrudingTap: DefectSpec = {
  name: 'Intruding tap',
  buyer: {
    name: 'Side pipe sticking in',
    trade: 'intruding tap',
    plural: 'side pipes sticking in',
  },
  said: '{intruding|protruding} {tap|tee|wye|lateral|connection}|hammer tap|hammered tap|break in tap|{tap|connection} [is] {intruding|protruding}|{tap|connection} {sticking|sticks|poking|pokes} {in|into pipe|out}',
  size: { share: 'diameter', leaves: 'across' },
  wants: 'how much',
  severity: byShareOfDiameter('intruding-tap', 'the tap stands into the pipe by', 'intruding tap'),
  says: ({ facts }) =>
    `A side pipe sticks${sayShare(facts, 'width') || ' some way'} into this one.`,
  means: 'It narrows the pipe and catches waste.',
  traits: ['structure', 'catches', 'new-pipe-ends', 'narrows', 'holds-waste', 'said-by-clock'],
  drawnAs: 'intruding-tap',
};
