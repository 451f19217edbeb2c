import type { DefectSpec } from '../defect';
import { sayInches } from '../say-size';
import { byHeight, lipBounds } from '../severity/by-height';

export const lip: DefectSpec = {
  name: 'Lip',
  buyer: { name: 'Edge that catches solids', trade: 'lip', plural: 'edges that catch solids' },
  said: 'lip|lips|ledge|up step|step up|raised edge',
  size: { inches: 'lipIn', isHeight: true, leaves: 'height' },
  wants: 'how high',
  severity: byHeight('lip', ({ lipIn }) => lipIn, lipBounds),
  says: ({ facts }) =>
    facts.lipIn === null || facts.byWord !== null
      ? 'An edge stands up where two pipes meet.'
      : `An edge ${sayInches(facts.lipIn)} high stands up where two pipes meet.`,
  means: 'It can hold water back and catch solids.',
  traits: ['structure', 'catches', 'new-pipe-ends', 'rests-on-bore', 'holds-waste'],
  thenAsCause: 'ramp the lip',
  drawnAs: 'lip',
};
