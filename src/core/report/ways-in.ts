import { sayFt } from '../base/numbers';
import type { Assessment } from '../judge/assessment';
import { type CleanoutFound, listCleanouts } from '../lateral/cleanouts';
import type { Block } from './block';

const STATES: Record<CleanoutFound['state'], string> = {
  usable: 'can be used',
  buried: 'buried: have it raised to grade',
  refused: 'cannot be used as it is',
  inferred: 'not certain: have it found from above',
};

/** The cleanouts of the house, those found from inside among them: what later cleaning goes in by. */
export function composeWaysIn({ inspection, lateral, branches, names }: Assessment): Block[] {
  const found = listCleanouts(inspection, [lateral, ...branches]);
  const isFoundInside = found.some(({ diameterIn }) => diameterIn === null);
  if (found.length < 2 && !isFoundInside) return [];
  return [
    {
      kind: 'table',
      title: 'Cleanouts',
      head: ['At, ft', 'Cleanout', 'Where', 'State'],
      rows: found.map(({ name, place, lineId, stationFt, state }) => [
        stationFt === null ? '–' : sayFt(stationFt),
        name.charAt(0).toUpperCase() + name.slice(1),
        `${place}${lineId === null ? '' : names.on(lineId)}`,
        STATES[state],
      ]),
      numeric: [0],
    },
  ];
}
