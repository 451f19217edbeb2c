import type { DefectSpec } from '../defect';
import { sayShare } from '../say-size';
import { byShareOfBore } from '../severity/by-share';

export const debris: DefectSpec = {
  name: 'Debris',
  buyer: { name: 'Debris', trade: 'debris', plural: 'debris' },
  said: '{poured|dumped|spilled} {concrete|cement|grout|mortar}|{concrete|cement|grout|mortar} {spill|splatter|poured|dumped}|hardened {concrete|cement|grout|mortar}|mortar|grout|debris|sludge|wipe|wipes|paper|toilet paper|silt|sand|gravel|rocks|mud|sediment|waste|solids|turds|feces|trash|rag|rags|hair|hairball|hair ball|{wad|wads|clump|ball|clog|plug|mat} of {hair|wipes|paper|toilet paper|rags|debris}|clog|clogs|tissue|floss|coffee grounds|food',
  size: { share: 'area', leaves: 'one-sided' },
  wants: 'how much of the pipe',
  severity: byShareOfBore('debris', 'debris fills', 'debris'),
  says: ({ facts }) => `Loose waste fills${sayShare(facts, 'pipe') || ' part of the pipe'}.`,
  means: 'Waste that stays can build into a blockage.',
  traits: [
    'deposit',
    'cleaned-when-slight',
    'catches',
    'new-pipe-ends',
    'flushed',
    'washed-out',
    'hides-in-murk',
    'narrows',
    'stops-camera',
    'fills',
    'lies-on-invert',
  ],
  upkeep: 'Have the line flushed and see whether the waste comes back.',
  drawnAs: 'debris',
};
